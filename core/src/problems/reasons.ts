// Every refusal in one English sentence: what happened, and what to do. The web shows them, translated by key.

/**
 * The sentence for each reason. `{{name}}` stands for a value that comes with the refusal.
 *
 * Keys are stable: they travel in problem details, and translations hang on them.
 */
export const reasonSentences = {
  'signed-out': 'You are not signed in. Sign in to go on.',
  'wrong-sign-in': 'That sign-in name and password do not belong together. Check both and try again.',
  'too-many-tries': 'There were too many tries. Wait {{minutes}} minutes, then try again.',
  'not-allowed': 'This address does not take that request. Ask it in one of the ways that it names.',
  'not-found':
    'There is nothing here that you can open. Check the address, or go back to where you came from.',
  'only-administrators': 'Only an administrator can do this. Ask yours to do it for you.',
  'another-site': 'This came from another web site, so nothing was done. Open Valise itself and do it there.',
  stale: 'Somebody changed this while you had it open. Look at the new version, then make your change again.',
  'needs-revision': 'The request does not say which version it changes. Reload the page and do it again.',
  'invalid-input': 'Some of what was entered cannot be kept. Mend the marked fields.',
  'too-deep': 'What was sent lies too deep within itself to be read. Nothing was changed.',
  'not-json': 'What was sent could not be read. Reload the page and do it again.',
  'bad-text': 'The text holds signs that cannot be kept. Delete what was pasted last and type it again.',
  'too-large': 'That is too large to be kept in one piece. Make it smaller and try again.',
  'unsupported-type': 'What was sent is of a kind that cannot be read here. Send it as JSON.',
  'password-short': 'The password is too short. Use at least {{least}} characters; a short sentence is good.',
  'password-common': 'This password is among the first that others would try. Choose another one.',
  'password-like-name': 'The password holds your own name. Choose one that others cannot guess from it.',
  'password-wrong': 'The present password is not right. Type it again.',
  'sign-in-name-taken': 'Somebody has this sign-in name already. Choose another one.',
  'code-taken': 'Another class has this code already. Choose another one.',
  'window-empty': 'The last day lies before the first. Mend one of the two days.',
  'already-member':
    'This person is already in that class in this role at that time. Change the dates instead.',
  'last-administrator': 'This is the only administrator. Make another person administrator first.',
  'person-ended': 'This person has been ended. Bring them back first.',
  'class-ended': 'This class has ended. Choose a class that is running.',
  'school-there': 'This data folder holds a school already. Give another folder to set up a new one.',
  'sign-in-link-gone': 'This link was used or has run out. Ask your administrator for a new one.',
  'repeated-differently': 'This was sent before with other content. Reload the page and look what was kept.',
  'file-empty': 'The file is empty. Choose another one, or save it again and then add it.',
  'file-changed':
    'The file was changed or moved while it was being read, so it did not arrive whole. Choose it again.',
  'file-unreadable':
    'This device does not let the file be read. Save a copy of it in another folder, then add that one.',
  'file-too-large': 'The file is larger than {{most}} MB, the most that one file may have. Make it smaller.',
  'quota-full':
    'Your storage has {{left}} MB left, too little for this file. Empty your bin or remove what you no longer need.',
  'too-many-uploads': 'More than {{most}} files are on their way. Let some of them arrive first.',
  'file-cut-off': 'The file ended earlier than it should. Choose it again to go on.',
  'other-kind':
    'The new file is of another kind than this item, so it did not replace it. Add it as an item of its own.',
  'no-such-version': 'This version does not exist. Load the item again and choose one of its versions.',
  'no-such-tag': 'You have no such tag any more. Look at your tags, then do it again.',
  'recipe-newer':
    'A newer Valise put this picture right, so nothing was changed. Ask your administrator to bring this one up to date.',
  'collage-newer':
    'A newer Valise made this collage, so nothing was changed. Ask your administrator to bring this one up to date.',
  'no-pictures': 'Nothing of this is a picture, so there is no collage of it. Choose at least one picture.',
  'not-a-picture': 'This is no picture, so the bench cannot open it. Choose a picture.',
  'picture-unreadable':
    'This picture cannot be opened, so nothing was changed. If you have it whole, replace the file and try again.',
  'corners-crossing': 'The corners cross. Drag them so that they go once round the sheet.',
  'corners-in-a-line': 'Three of the corners lie in a line. Drag one of them to where the sheet’s corner is.',
  'corners-too-near': 'Two corners lie on each other. Drag them apart, each to a corner of the sheet.',
  'covers-too-many':
    'More is covered here than one picture can hold. Remove some covers, or draw a large one in the place of many.',
  'crop-too-small': 'Too little of the picture would be left. Draw a larger box.',
  'too-many-queries': 'You keep {{most}} queries already. Let one of them go first.',
  'link-unreadable': 'This is not an address. Copy it from the bar of your browser and paste it here.',
  'link-unsafe':
    'This address does not lead to the open web, so it was not opened. Use an address that begins with https:// and works anywhere.',
  'service-away': 'The other service does not answer just now. Try again in a moment; nothing was lost.',
  'drive-not-open': 'The shared drive does not let you in there. Ask whoever owns it to let you in.',
  'shelf-gone': 'This picture is no longer on the shelf. Choose another one.',
  'phone-unknown': 'This phone lends its camera to nobody. Show the code on the laptop once more.',
  'phone-over': 'The ten minutes are over. Show a new code on the laptop to go on.',
  'tray-full': 'The tray holds {{most}} things. Take something out of it first.',
  'in-the-bin': 'This is in the bin. Take it out of the bin first.',
  'not-in-bin': 'This is not in the bin, so it was not removed. Put it into the bin first.',
  'piece-changed':
    'This was changed in another window meanwhile. Both versions are kept. Compare them and choose one.',
  'title-changed': 'The title was changed in another window meanwhile. Look at it, then change it again.',
  'edit-unfit':
    'This change does not fit the page any more. Reload the page; what you typed is kept as a version.',
  'text-not-allowed':
    'The text holds something other than words, headings, lists, quotes and links to the web. Paste it again as plain text.',
  'text-too-long':
    'This text is longer than one text can be. Move part of it into another text; until then it stays on this device.',
  'text-too-deep':
    'Lists and quotes lie too deep within each other here. Move this one out a step; until then it stays on this device.',
  'too-heavy':
    'This takes more memory or time than one step may. Nothing was changed. Try it with fewer or smaller files.',
  'page-full':
    'This page holds as much as a page can. Move part of it to another page; until then your last change stays on this device.',
  'document-newer':
    'This was written by a newer Valise. Ask your administrator to bring this one up to date.',
  'logbook-not-empty':
    'This logbook still has entries, perhaps in the bin. Remove them first, or keep the logbook.',
  'empty-page': 'There is nothing on this page yet. Put something on it, then publish it.',
  'item-gone': 'This was taken out of the collection meanwhile. Look at the collection, then do it again.',
  'already-in-collection': 'This lies in the collection already. Move it to where you want it.',
  'collection-full':
    'A collection holds {{most}} things at most. Begin another one, and put it into this one.',
  'collection-circle': 'A collection cannot lie in itself, not even by way of others. Choose another one.',
  'audience-forbidden':
    'The rules of your school do not let you open things to these people. Ask your assessor who may see it.',
  'window-over': 'This time is over already. Choose a last day that is still to come.',
  'pass-without-look': 'A pass lets people look at least. Add that, or give no pass.',
  'link-only-looks': 'Whoever holds a link can only look. Give a pass to a person for more.',
  'too-many-passes': 'This has {{most}} passes already. End one of them first.',
  'pass-ended': 'This pass has ended. Give a new one.',
  'not-in-your-class': 'You can open things to people who share a class with you. Choose one of them.',
  'link-shows-nothing':
    'What this link leads to is put away for now. Try again later, or ask whoever gave it to you.',
  'link-ended': 'This link has ended. Ask whoever gave it to you for a new one.',
  'link-to-come':
    'This link does not open yet. Try again later, or ask whoever gave it to you from when it does.',
  'assignment-ended': 'This assignment has ended. Ask your assessor whether you can still hand in.',
  'still-sealing': 'Your last hand-in is still being sealed. Wait a moment, then look again.',
  'with-assessor':
    'What you handed in is with your assessor. Take it back while nobody has opened it, or go on after the answer.',
  'already-accepted': 'This was accepted already, so nothing more has to be handed in.',
  'nothing-goes-in': 'Nothing goes in yet. Choose a page, an entry or a piece of evidence first.',
  'gaps-forbidden':
    'This assignment can be handed in only when every must is there. {{count}} still missing; mend what is named first.',
  'readiness-changed':
    'Something changed since you looked, so nothing was handed in. Look at what is missing now, then hand in.',
  'terms-open': 'Agree to each of the terms first. They stand above the button.',
  'opened-already':
    'Your assessor has opened it, so it can no longer be taken back. Write to them if something is wrong.',
  'not-to-take-back': 'This cannot be taken back any more. Look at what became of it.',
  'already-answered': 'This was answered or taken back meanwhile. Load it again and look at its state.',
  'open-it-first': 'Open the sealed copy first, then answer.',
  'nothing-to-undo': 'There is no answer of yours to undo here. Load it again and look at its state.',
  'too-late-to-undo':
    'An answer can be undone for {{seconds}} seconds. Write feedback to the student instead.',
  'no-such-level': 'This level is not on the scale any more. Choose one of those that are shown.',
  'has-submissions': 'Something was handed in for this already. End the assignment instead.',
  'only-private-here':
    'Feedback on this is read by the author and the assessors only. Choose a page to write openly.',
  busy: 'Many people sign in just now. Try again in a moment; nothing was lost.',
  'no-space': 'The school’s storage is full, so this was not kept. Tell your administrator.',
  unexpected: 'Something went wrong on our side. What was kept before is safe. Try again.',
} as const

export type Reason = keyof typeof reasonSentences

/** What can be wrong with one field of what was sent. */
export const fieldSentences = {
  missing: 'This is needed. Fill it in.',
  'too-short': 'Use at least {{least}} characters.',
  'too-long': 'Use at most {{most}} characters.',
  'too-small': 'Use {{least}} or more.',
  'too-big': 'Use {{most}} or less.',
  malformed: 'This is not in the form that is wanted. Look at the example and type it again.',
  'still-to-come': 'This day is still to come. Choose today or an earlier one.',
  'unfinished-day': 'This is not a whole date yet, so it does not count. Fill in all of its parts.',
  'not-offered': 'Choose one of those that are offered.',
  unknown: 'This field is not known here. Leave it out.',
} as const

export type FieldReason = keyof typeof fieldSentences
