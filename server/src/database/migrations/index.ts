// All migrations in order. A merged one is never edited.
import * as peopleAndClasses from './20261123060000_create_people_and_classes.ts'
import * as sessions from './20261123061000_create_sessions.ts'
import * as recordsAndNews from './20261123062000_create_records_and_news.ts'
import * as filesAndJobs from './20261123100000_create_files_and_jobs.ts'
import * as evidence from './20261123101000_create_evidence.ts'
import * as pagesAndLogbooks from './20261123130000_create_pages_and_logbooks.ts'
import * as collectionsAndPasses from './20261123150000_create_collections_and_passes.ts'
import * as assignmentsAndSubmissions from './20261123190000_create_assignments_and_submissions.ts'
import * as gathering from './20261127100000_extend_evidence.ts'
import * as pictureRecipes from './20261128100000_create_picture_recipes.ts'
import * as collages from './20261128140000_create_collages.ts'
import * as clockChecks from './20261129110000_create_clock_checks.ts'
import * as knownDevices from './20261129120000_create_known_devices.ts'
import * as newsByTime from './20261129130000_index_news_by_time.ts'
import * as feedbackWithOutcomes from './20261129140000_send_feedback_with_outcomes.ts'
import * as newsOfSharing from './20261129150000_rename_news_of_sharing.ts'
import * as filesOfPieces from './20261129160000_name_files_of_pieces.ts'
import * as schemasOfRequirements from './20261129170000_number_schemas_of_requirements.ts'
import * as openAudiences from './20261129180000_open_lists_of_audiences.ts'
import * as paramsOfNews from './20261129190000_type_params_of_news.ts'
import * as personOfJobs from './20261129100000_add_person_to_jobs.ts'
import * as things from './20261130100000_create_things.ts'
import * as findByIndex from './20261130150000_find_by_index.ts'
import * as leasesOfJobs from './20261130160000_name_leases_of_jobs.ts'
import * as voices from './20261128110000_create_voices.ts'
import * as promptSheets from './20261130170000_create_prompt_sheets.ts'
import * as logbookDetails from './20261130180000_extend_logbooks.ts'
import * as offers from './20261130190000_offer_versions.ts'
import * as ratings from './20261130200000_create_ratings.ts'
import * as guides from './20261201100000_create_guides.ts'
import * as writtenAt from './20261202100000_add_written_at.ts'
import * as showsWeek from './20261202120000_tell_of_the_week.ts'

export const migrations = [
  peopleAndClasses,
  sessions,
  recordsAndNews,
  filesAndJobs,
  evidence,
  pagesAndLogbooks,
  collectionsAndPasses,
  assignmentsAndSubmissions,
  gathering,
  pictureRecipes,
  voices,
  collages,
  personOfJobs,
  clockChecks,
  knownDevices,
  newsByTime,
  feedbackWithOutcomes,
  newsOfSharing,
  filesOfPieces,
  schemasOfRequirements,
  openAudiences,
  paramsOfNews,
  things,
  findByIndex,
  leasesOfJobs,
  promptSheets,
  logbookDetails,
  offers,
  ratings,
  guides,
  writtenAt,
  showsWeek,
] as const
