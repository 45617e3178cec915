// Every refusal in one English sentence: what happened, and what to do. The web shows them, translated by key.

/**
 * The sentence of each reason. `{{name}}` is a value that comes with the refusal.
 *
 * Keys are stable: problem details carry them, and translations are looked up by them.
 */
export const reasonSentences = {
  'signed-out': 'You are not signed in. Sign in to go on.',
  'wrong-sign-in': 'This sign-in name and password do not match. Check both and try again.',
  'too-many-tries': 'There were too many tries. Wait {{minutes}} minutes, then try again.',
  'not-allowed': 'This address does not accept that request. Use one of the methods that it names.',
  'not-found': 'Valise cannot find this, or it is not shared with you. Check the address, or go back.',
  'only-administrators': 'Only an administrator can do this. Ask yours to do it for you.',
  'another-site': 'This came from another web site, so nothing was done. Open Valise and do it there.',
  stale:
    'Somebody else changed this while you had it open. Look at the new version, then make your change again.',
  'needs-revision':
    'The request does not say which version it changes. Load the page again and repeat your change.',
  'invalid-input': 'Some of what you entered cannot be saved. Correct the marked fields.',
  'too-deep': 'What was sent has too many levels to be read. Nothing was changed.',
  'not-json': 'The server could not read what was sent. Load the page again and repeat your change.',
  'bad-text':
    'The text has characters that cannot be saved. Delete what you pasted last and type it instead.',
  'too-large': 'This is too large to save in one go. Make it smaller and try again.',
  'unsupported-type': 'The server cannot read this type of content. Send it as JSON.',
  'password-short': 'The password is too short. Use at least {{least}} characters; a short sentence is good.',
  'password-common': 'Many people use this password, so it is easy to guess. Choose another one.',
  'password-like-name': 'The password has your own name in it. Choose one that is harder to guess.',
  'password-wrong': 'That is not your current password. Type it again.',
  'sign-in-name-taken': 'Somebody already has this sign-in name. Choose another one.',
  'code-taken': 'Another class already has this code. Choose another one.',
  'window-empty': 'The last day is before the first. Correct one of the two days.',
  'already-member': 'This person already has this role in that class on those days. Choose other days.',
  'last-administrator': 'This is the only administrator. Make somebody else an administrator first.',
  'person-ended': 'This account is closed. Open it again first.',
  'class-ended': 'This class has ended. Choose a class that is still running.',
  'school-there': 'This data folder already has a school in it. Use another folder to set up a new one.',
  'sign-in-link-gone':
    'This link was already used, or its time is over. Ask your administrator for a new one.',
  'repeated-differently':
    'This was sent before with different content. Load the page again and check what was saved.',
  'file-empty': 'The file is empty. Choose another one, or save it again and then add it.',
  'file-changed': 'The file changed or moved while it was uploading. Choose it again.',
  'file-unreadable':
    'This device does not let Valise read the file. Save a copy in another folder and add that one.',
  'file-too-large': 'The file is larger than {{most}} MB, the most that one file can have. Make it smaller.',
  'quota-full':
    'You have {{left}} MB of space left, too little for this file. Empty your bin, or remove what you no longer need.',
  'too-many-uploads': 'More than {{most}} files are uploading. Wait until some of them are done.',
  'file-cut-off': 'The file stopped before its end. Choose it again to resume.',
  'other-kind':
    'The new file is a different kind from this item, so it did not replace it. Add it as a new item.',
  'sheet-lacks-title': 'The question sheet has no title yet. Give it one, then publish it.',
  'sheet-lacks-questions': 'There are no questions on this sheet yet. Add one, then publish it.',
  'sheet-lacks-words':
    'Question {{question}} asks nothing yet. Write it, or remove it, then publish the sheet.',
  'sheet-lacks-options':
    'Question {{question}} needs at least two answers to choose from, each with its words. Write them, then publish the sheet.',
  'sheet-lacks-limits':
    'Question {{question}} asks for more than it allows. Make the larger number larger, or empty it, then publish the sheet.',
  'sheet-lacks-attribute':
    'Question {{question}} has no attribute to rate yet. Choose one, or remove the question, then publish the sheet.',
  'set-lacks-title': 'The set of attributes has no title yet. Give it one, then publish it.',
  'set-lacks-steps': 'The scale needs at least three steps. Add the missing ones, then publish the set.',
  'set-lacks-step': 'Step {{n}} of the scale has no name yet. Name it, or remove it, then publish the set.',
  'set-lacks-attributes': 'There are no attributes in this set yet. Add one, then publish it.',
  'set-lacks-attribute': 'Attribute {{n}} has no name yet. Name it, or remove it, then publish the set.',
  'guide-lacks-title': 'The guide has no title yet. Give it one, then publish it.',
  'guide-lacks-due':
    'The guide is handed in when due, but has no due time yet. Set one that exists, then publish the guide.',
  'guide-lacks-stages': 'There are no stages in this guide yet. Add one, then publish it.',
  'guide-lacks-room': 'A guide can ask 200 questions at most. Remove some, then publish it.',
  'guide-lacks-name': 'Stage {{stage}} has no name yet. Name it, or remove it, then publish the guide.',
  'guide-lacks-blocks':
    'Stage {{stage}} is empty. Add an instruction or a question, or remove the stage, then publish the guide.',
  'guide-lacks-opens': 'Stage {{stage}} has no time to open yet. Set one, then publish the guide.',
  'guide-lacks-closes':
    'Stage {{stage}} closes before it opens. Change one of the times, then publish the guide.',
  'guide-lacks-words':
    'In stage {{stage}}, question {{question}} asks nothing yet. Write it, or remove it, then publish the guide.',
  'guide-lacks-options':
    'In stage {{stage}}, question {{question}} needs at least two answers to choose from, each with its words. Write them, then publish the guide.',
  'guide-lacks-limits':
    'In stage {{stage}}, question {{question}} asks for more than it allows. Make the larger number larger, or empty it, then publish the guide.',
  'guide-lacks-attribute':
    'In stage {{stage}}, question {{question}} has no attribute to rate yet. Choose one, or remove the question, then publish the guide.',
  'guide-reading-fixed':
    'Students have begun this guide, and were told how it is read. That stays. Copy the guide if you want it read in another way.',
  'guide-has-copies':
    'Students have begun this guide, so it stays out of the bin. Stop offering it to your classes instead.',
  'guide-sets': 'This assignment comes from a guide. Open the guide to change it.',
  'guide-chooses': 'What you hand in here is your copy of the guide. Open the guide to change it.',
  'not-published': 'Only what is published can be offered to others. Publish it first.',
  'no-such-version': 'This version does not exist. Load the item again and choose one of its versions.',
  'no-such-tag': 'You do not have this tag any more. Look at your tags, then try again.',
  'recipe-newer':
    'A newer version of Valise changed this picture, so nothing was changed here. Ask your administrator to update Valise.',
  'collage-newer':
    'A newer version of Valise made this collage, so nothing was changed here. Ask your administrator to update Valise.',
  'no-pictures': 'None of these is a picture, so there is no collage. Choose at least one picture.',
  'not-a-picture': 'This is not a picture, so the picture bench cannot open it. Choose a picture.',
  'picture-unreadable':
    'Valise cannot open this picture, so nothing was changed. If you have a whole copy, replace the file and try again.',
  'corners-crossing': 'The corners cross. Drag them so that they go around the sheet once.',
  'corners-in-a-line': 'Three corners are in one line. Drag one of them to a corner of the sheet.',
  'corners-too-near': 'Two corners are in the same place. Drag them apart, each to a corner of the sheet.',
  'covers-too-many': 'This picture has too many covers. Remove some, or draw one large cover instead.',
  'crop-too-small': 'Too little of the picture would be left. Draw a larger box.',
  'too-many-queries': 'You already have {{most}} saved searches. Remove one first.',
  'link-unreadable':
    'This is not a web address. Copy it from the address bar of your browser and paste it here.',
  'link-unsafe':
    'This address does not lead to a public web site, so Valise did not open it. Use an address that starts with https:// and works anywhere.',
  'service-away': 'The other service does not answer just now. Nothing was lost. Try again in a moment.',
  'drive-not-open': 'The shared drive does not let you in there. Ask the owner to let you in.',
  'shelf-gone': 'This picture is no longer on the picture shelf. Choose another one.',
  'phone-unknown': 'This phone is not connected to anybody. Show the code on the laptop again.',
  'phone-over': 'The ten minutes are over. Show a new code on the laptop to go on.',
  'tray-full': 'The Tray can hold {{most}} things. Take something out first.',
  'in-the-bin': 'This is in the bin. Take it out of the bin first.',
  'not-in-bin': 'This is not in the bin, so it was not removed. Put it in the bin first.',
  'piece-changed':
    'This was changed in another window, too. Both versions are saved. Compare them and choose one.',
  'title-changed': 'The title was changed in another window, too. Look at it, then change it again.',
  'edit-unfit':
    'This change does not fit the page any more. Load the page again; what you typed is saved as a version.',
  'text-not-allowed': 'The text holds something that cannot be saved here. Paste it again as plain text.',
  'text-too-long':
    'This text is too long for one place. Move part of it into another text; until then it is saved on this device only.',
  'text-too-deep':
    'This list or quote is inside too many others. Move it out one level; until then it is saved on this device only.',
  'too-heavy':
    'This needs more memory or time than one step can have. Nothing was changed. Try fewer or smaller files.',
  'page-full':
    'There is no room for more here. Move part of it to another page or entry; until then your last change is saved on this device only.',
  'document-newer': 'A newer version of Valise wrote this. Ask your administrator to update Valise.',
  'logbook-not-empty': 'This logbook still has entries, perhaps in the bin. Remove them first.',
  'empty-page': 'This page is empty. Put something on it, then publish it.',
  'item-gone': 'This is no longer in the collection. Look at the collection, then try again.',
  'already-in-collection': 'This is already in the collection. Move it to where you want it.',
  'collection-full': 'A collection can hold {{most}} things. Start another one and put it into this one.',
  'collection-circle':
    'A collection cannot be inside itself, not even inside another one. Choose a different one.',
  'audience-forbidden':
    'Your school’s rules do not let you share with these people. Ask your assessor who you can share with.',
  'window-over': 'This time is already over. Choose a last day that is still to come.',
  'pass-without-look': 'People must be able to look before they can do more. Allow looking, too.',
  'link-only-looks': 'Anyone with a link can only look. To allow more, share it with a person.',
  'too-many-passes': 'You share this in {{most}} ways already. Stop one of them first.',
  'pass-ended': 'You stopped sharing this. Share it again.',
  'not-in-your-class': 'You can share with people who are in a class with you. Choose one of them.',
  'link-shows-nothing': 'The person who shares this has put it away for now. Try again later, or ask them.',
  'link-ended': 'This link has ended. Ask the person who gave it to you for a new one.',
  'link-to-come':
    'This link does not work yet. Try again later, or ask the person who gave it to you when it starts.',
  'assignment-ended': 'This assignment has ended. Ask your assessor whether you can still hand in.',
  'still-sealing': 'Your last hand-in is not finished yet. Wait a moment, then try again.',
  'with-assessor':
    'Your assessor already has this. Take it back while nobody has opened it, or wait for the answer.',
  'already-accepted': 'This is accepted, so you do not have to hand in anything more.',
  'nothing-goes-in':
    'You have not chosen anything yet. Choose a page, an entry or an item of evidence first.',
  'gaps-forbidden': 'You can hand in when everything required is done. Still missing: {{count}}.',
  'readiness-changed':
    'Something changed while you were looking, so nothing was handed in. Check what is missing now, then hand in.',
  'terms-open': 'Tick all the terms first. They are above the button.',
  'opened-already':
    'Your assessor has opened it, so you cannot take it back any more. Write to them if something is wrong.',
  'not-to-take-back': 'You cannot take this back any more. Load it again to see what happened to it.',
  'already-answered': 'This was answered or taken back in the meantime. Load it again to see.',
  'open-it-first': 'Open the sealed copy first, then answer.',
  'nothing-to-undo': 'You have no answer to undo here. Load it again to see what happened.',
  'too-late-to-undo':
    'You can undo an answer for {{seconds}} seconds. Write feedback to the student instead.',
  'no-such-level': 'This level is no longer in the list. Choose one of those you see.',
  'has-submissions': 'Students have already handed in work for this. End the assignment instead.',
  'only-private-here':
    'Only the author and the assessors read feedback on this. Choose a page to write for everyone who can see it.',
  busy: 'Valise has a lot to do just now. Nothing was lost. Try again in a moment.',
  'no-space': 'The school’s storage is full, so this was not saved. Tell your administrator.',
  unexpected: 'Something went wrong in Valise. Everything that was saved is safe. Try again.',
} as const

export type Reason = keyof typeof reasonSentences

/** What can be wrong with one field. */
export const fieldSentences = {
  missing: 'Fill this in.',
  'too-short': 'Use at least {{least}} characters.',
  'too-long': 'Use at most {{most}} characters.',
  'too-small': 'Use {{least}} or more.',
  'too-big': 'Use {{most}} or less.',
  malformed: 'This is not written in the right way. Look at the example and type it again.',
  'still-to-come': 'This day has not come yet. Choose today or an earlier day.',
  'unfinished-day': 'This is not a whole date yet. Fill in day, month and year.',
  'not-offered': 'Choose one from the list.',
  unknown: 'Valise does not know this field. Leave it out.',
} as const

export type FieldReason = keyof typeof fieldSentences
