// The whole job, on the database that Valise brings along.
import { test, useSite } from './support/site.ts'
import { doWholeJob } from './support/wholeJob.ts'

const site = useSite()

test('from a picture on the device to a level on the page', ({ browser }) => doWholeJob(site, browser))
