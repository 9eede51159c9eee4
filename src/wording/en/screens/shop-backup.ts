// Backup
export const itIsSavedThere =
  'Its backups are made and put back there, by whoever keeps it. From here all of it comes over the wire as an archive, which a store of its own can be made of; how long that takes grows with the shop.';
export const theStoreIsKept = 'The store is kept on another machine';
export const theBackupWasPutBack = 'The backup was put back. What stood here until now heads the list.';
export const saveABackup = 'Save a backup';
export const isWhole = 'is whole';
export const saveAnArchive = 'Save an archive';
export const holdsTheWholeShop = 'holds the whole shop';
export const fileIsOnItsWay = (name: string, done: string): string =>
  `${name} ${done}, and on its way to where this browser keeps its downloads.`;
export const itBrokeOffTryAgain = 'It broke off. Try again.';
export const aBackupIsOneFile =
  'A backup is one file with everything: jobs, readings, sign-offs, photographs, stock, limits, codes. It is made while the shop goes on, and holds what was saved before it began. One a day is made by itself and kept beside the store; a disk can fail, so keep one on another machine too.';
export const saving = 'Saving…';
export const anArchiveHoldsTheSame =
  'An archive holds the same in open formats that other programs read: tables as CSV, bench sheets, photographs, and checksums of them all.';

// Bring
export const lookingThrough = (name: string): string => `Looking ${name} through…`;
export const broughtIsWhole = (name: string): string =>
  `${name} is whole. It stands in the list above, to be put back.`;
export const couldNotBeRead = (name: string): string => `${name} could not be read.`;
export const bringOneFromElsewhere = 'Bring one from elsewhere';
export const aBackupOrAnArchive =
  'A backup, or an archive of a shop. It is tried first, and changes nothing until it is put back.';
export const aBackupFromElsewhere = 'A backup from elsewhere';

// Kept
export const madeByItself = 'made by itself';
export const savedByHand = 'saved by hand';
export const beforeANewVersion = 'before a new version';
export const broughtFromElsewhere = 'brought from elsewhere';
export const stoodHereUntilAnother = 'stood here until another was put back';
export const firstIsMadeSoon = 'The first is made within a minute.';
export const noBackupIsKeptYet = 'No backup is kept yet';
export const keptBesideTheStore = 'Kept beside the store';
export const backups = 'Backups';
export const download = 'Download';
export const putBack = 'Put back…';
export const ofTheDailyOnes =
  'Of the daily ones the last seven days, five weeks and twelve months stay; of the others the last ten of each kind.';
export const putThisBackupBack = 'Put this backup back?';
export const itWasNotPutBack = 'It was not put back. What stood there stands.';
export const shopWillStand = 'The shop will stand as it did on';
export const writtenSinceIsKept =
  '. What was written since is not in it; it is kept as a backup of its own in this list, and can be put back in turn.';
export const everybodyWithAPageOpen =
  'Everybody with a page open is told to load it again. What they have typed and not sent stays in their browser.';
export const puttingItBack = 'Putting it back…';
export const putItBack = 'Put it back';

// LookThrough
export const theStoreIsWhole = 'The store is whole.';
export const storeIsDamaged = (wrong: string): string =>
  `The store is damaged: put the newest backup back. Found: ${wrong}`;
export const notLookedThrough = 'It could not be looked through.';
export const isTheStoreWhole = 'Is the store whole?';
export const itIsLookedThrough =
  'It is looked through at every start, and with every backup. It can be done now too; nobody waits for it.';
export const looking = 'Looking…';
export const lookItThrough = 'Look it through';
