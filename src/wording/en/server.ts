// Several of them
export const toBeAsked = 'to be asked';
export const notCounted = 'cutters not counted';

// health
export const diskNearlyFull = (megabytes: number): string =>
  `Only ${megabytes} MB of the disk are free: make room soon.`;
export const newestBackupIsOld = (days: number): string =>
  `The newest backup is ${days} days old, though one a day should be made: save one under Shop, Backup, and look at the disk.`;

// built-site
export const notBuilt = 'The application is not built yet: run npm run build.';

// door
export const openedByTheServer = (host: string): string =>
  `HOST=${host} would open Serrata to the network: only npm start does, once it has looked what that needs.`;
export const wouldOpen = (host: string, missing: readonly string[]): string =>
  `HOST=${host} would open Serrata to the network. First it needs ${missing.join('; and ')}. Until then, use 127.0.0.1.`;
export const needsAnOwner =
  'an owner with a password (under Shop, People; or on this machine: npm run serrata -- owner NAME)';
export const needsEncryption =
  'connections that are encrypted: SERRATA_CERTIFICATE and SERRATA_KEY (npm run serrata -- certificate makes both), or SERRATA_PROXY with the address of a proxy that encrypts them';
export const proxyNeedsAnOwner = (proxy: string): string =>
  `SERRATA_PROXY=${proxy} would open Serrata to whoever reaches that proxy. First it needs ${needsAnOwner}.`;
export const bothFiles = 'SERRATA_CERTIFICATE and SERRATA_KEY go together: set both, or neither.';
export const cannotUse = (file: string, why: string): string =>
  `The certificate ${file} cannot be used (${why}). Make one with npm run serrata -- certificate, or name another.`;
export const hasRunOut = (day: string): string => `it ran out on ${day}`;
export const keyOfAnother = 'the key is of another one';
export const notByTheProxy = 'Come by the proxy: connections that it does not encrypt are not answered.';
export const notEncrypted = 'The proxy did not say that this connection is encrypted: ask by https.';
export const notUnderThisName =
  'Serrata does not run under this name. Whoever runs it can add the name to SERRATA_NAMES.';
export const thisMethodIsNotAnswered = 'This method is not answered here.';
export const thereIsNothingHere = 'There is nothing here.';

// endpoint
export const bodyTooDeep = 'The body goes deeper than anything that is taken here.';
export const theRequestWasCutOff = 'The request was cut off before all of it was here.';
export const theBodyIsNotJson = 'The body is not JSON.';
export const theRequestIsNotUnderstood = 'The request is not understood.';
export const theStore = (trouble: string): string => `The store: ${trouble}`;
export const somethingWentWrong = 'Something went wrong here. What you typed is kept on your side: try again.';

// guard
export const sendJson = 'Send JSON, with the content type application/json.';
export const sendPngOrJpeg = 'Send a photograph as PNG or JPEG.';
export const sendOctets = 'Send a backup as application/octet-stream.';
export const fromAnotherSite = 'This request comes from another site.';
export const sendTheLength = 'Send the length of the body.';
export const theBodyIsLarger = (most: number): string => `The body is larger than ${most} MB.`;

// pace
export const tooMuchIsAsked = 'More is asked from here than one client needs. Wait a few seconds.';

// caliper
export const theCaliperDoesNotAnswer = 'The caliper does not answer: look at its line and battery.';
export const typedByBroughtInBy = (typist: string, sender: string): string => `${typist}, brought in by ${sender}`;
export const pageIsNewer = 'This page is newer than the server: what was typed is kept here until the server is, too.';
/** So many streams are as many as a shop has screens, and more. */
export const tooManyStreams = 'Too many screens listen already. Close some, or wait a little.';
export const tooManyListen = (most: number): string => `${most} screens listen to the caliper already.`;

// threads
export const tooMuchAtOnce = 'Too much is being worked out just now: try again in a moment.';

// records
export const noRecordCode = 'A code from a paper looks like 1204-7K2M-Q9XT-04BC: a number, and three groups of four.';
export const recordsDoNotFit = (count: number): string =>
  `The records that never change do not fit (${count === 1 ? 'one thing' : `${count} things`}): Shop, Records says where.`;

// backup
export const backupIsUnderWay = 'A backup is being made or put back already: wait until that is done.';
export const thisIsNoDemo = 'This store is no demo: what is in it stays.';
export const itCouldNotBeDone = (message: string): string => `It could not be done. ${message}`;
export const thisFile = 'This file';
export const sendABackupOfSerrata = 'Send a backup of Serrata.';
export const thisIsLargerThanAny = 'This is larger than any backup.';

// based-on
export const changedSince = (says: string): string =>
  `Somebody has changed this since you looked: ${says}. Look again, then change it.`;

// bench
export const handedOver = 'Handed over';

// calendar
export const sawDue = (list: string): string => `Saw due: ${list}`;
export const noCalendarFileWasMade = 'No calendar file was made.';

// codes
export const sayWhatItStands = 'Say what the code stands for: a pitch, a gauge, or both.';
export const hasTaughtCode = (by: string, code: string): string => `${by} has taught what ${code} stands for`;
export const itWasForgotten = 'it was forgotten';

// counter
export const pitch = 'Pitch';
export const gauge = 'Gauge';
export const driveLinks = 'Drive links';
export const codeOfThisShop = 'a code this shop has learned';
export const notRead = 'not read';
export const remembered = (by: string, day: string): string =>
  `Remembered by ${by} on ${day}. Ask whether bar and chain are still the same.`;
export const rememberedFromJob = (tag: string, day: string): string =>
  `From job ${tag} of ${day}. Ask whether bar and chain are still the same.`;
export const nothingIsRemembered = 'Nothing is remembered of this saw yet.';
export const nothingIsKnown = 'Nothing is known of this saw yet.';
export const counter = 'Counter';

// hand-over
export const nextVisitLiesInThePast = 'The next visit lies in the past: name a day from today on.';
export const stillOpenSayWhy = 'Something is still open: say why it goes all the same.';
export const handedOverAlready = 'This job was handed over already.';
export const goneOpenItAgain = 'This job was handed over: open it again to write to it.';
export const movedSinceShown =
  'Something that this rests on has moved since it was shown (readings, parts, plan, limits): look at it again, then hand over.';

// sister shops
export const shopIsCalledSo = (name: string): string => `A shop of this store is called ${name} already.`;
export const tooManyShops = (most: number): string => `A store holds ${most} shops.`;
export const nobodySignsInYet = 'Nobody signs in yet: give the first password under People.';
export const everybodyHasAShop = 'People sign in here: each works for the shop they are of.';
export const ofTheFirstShop =
  'This is about the whole store, which holds several shops: the shop that was first on it does it.';
export const unnamedShop = 'a shop without a name';
export const tagElsewhere = (tag: string, shop: string): string => `${tag} (${shop})`;
export const jobIsElsewhere = (shop: string): string =>
  `This job is at ${shop}, another shop of this store: ask them for it. What it found of the saw stands under Gear.`;
export const nameIsOfAnotherShop = (name: string): string =>
  `Somebody of another shop of this store is called ${name}. People sign in by their name alone: write it another way.`;

// job-parts
export const planNeedsItNoMore =
  'The plan that stands does not need this part: look at the parts again, or sign the plan anew.';
export const partTakenAlready = 'This part was taken for this job already.';
export const partNotTaken = 'This part was not taken for this job, so it cannot be put back from it.';
export const noneByNow = 'None is on the shelf by now: order it, or choose another plan.';
export const thisPartIsOrderedAlready = 'This part is ordered already.';
export const orderIsClosed = 'This order is closed: look at it again.';
export const movementIdTaken = 'This came under the id of another movement and was not stored. Do it again.';
export const notOffered =
  'The supplier does not offer this part just now, and the shelf does not list it: ask again, or choose another plan.';

// jobs
export const readingIdTaken =
  'This reading came under the id of another one and was not stored. Open the job again and type it once more.';
export const tooManyPlaces = (most: number): string =>
  `This job has readings at ${most} places, and takes no more places in. What stands there can still be changed; the rest belongs to a job of its own.`;

// photos
export const noPicture = 'This is no PNG or JPEG picture.';
export const idOfAnotherPicture = 'Another picture has this id: send it with one of its own.';
export const idIsNoUuid = 'The id of a picture is a UUID.';
export const tooManyPixels = (most: number): string => `The picture is more than ${most} pixels on a side.`;
export const tooLargeAnArea = (minutes: number, most: number): string =>
  `The picture has ${minutes} million pixels, more than the ${most} million that are kept.`;
export const pictureTooLarge = (most: number): string => `The picture is larger than ${most} MB.`;
export const tooManyPictures = (most: number): string => `A job keeps ${most} pictures: take one away first.`;

// plans
export const planHasChanged =
  'This plan is not what it was when it was shown: the shelf, a price or a reading has changed. Look at the plans again, then sign off.';
export const anotherCostsNoMore = 'Another plan costs no more today and no more an hour: say why this one.';

// shelf
export const partChangedSince = (quantity: number, minimum: number): string =>
  `Somebody has changed this part since you opened it: ${quantity} are on the shelf now, the minimum is ${minimum}. Look at the card as it is now, then put it right.`;
export const movementIdTakenWriteAgain =
  'This came under the id of another movement and was not stored. Write it again.';
export const noneIsOnTheShelf = 'None is on the shelf.';
export const tooFewOnTheShelf = (quantity: number, pieces: number): string =>
  `Only ${quantity} on the shelf: ${pieces} cannot be taken.`;

// shop
export const answersAre = (list: string): string => `The answers are ${list}.`;
export const isFollowedNow = (answer: string): string => `“${answer}” is followed now`;
export const limitBack = (count: number, unit: string): string => `back to ${count} ${unit}`;
export const limit = (count: string, unit: string): string => `to ${count} ${unit}`;
export const limitStands = (stands: number, unit: string): string => `it is ${stands} ${unit} now`;
export const shopStands = (
  name: string,
  currency: string,
  timeZone: string,
  style: string,
  isPriceTold: boolean,
): string =>
  `it is ${name}, ${currency}, ${timeZone}, ${style} now, and the customer’s page ${isPriceTold ? 'tells' : 'leaves out'} the price`;
export const benchIsFull = (most: number): string => `A bench has room for ${most} people.`;

// sign-off
export const rulesChangedSince =
  'Limits, codes, schools or studies of the shop were changed since this verdict was shown: look at it again as it stands now, then sign off.';
export const readingsCameSince = 'Readings have come in since this verdict was shown: look at it again, then sign off.';
export const signedAlready = (by: string): string => `${by} has signed this off already.`;

// stock-imports
export const importWasUndone = 'This import was undone: begin a new one.';
export const undoneAlready = (undoneBy: string): string => `${undoneBy} has undone it already.`;

// studies
export const takeProblem = (number: number, problem: string): string => `Take ${number}: ${problem}`;
export const someTakesCannotBeRead = 'Some takes cannot be read.';
export const sayWhoIsHereFirst = 'Say who is here first: a study tells of one person’s hand with one tool.';
export const theSizeOfTheBlock = 'The size of the block';
export const theDoubtOfTheBlock = 'The doubt of the block';

// summary
export const nothingLeftToDo = 'Nothing left to do.';

// supplier
export const supplierIsDown = (status: number): string => `The supplier's line is down (${status}).`;
export const supplierNotUnderstood = 'The supplier answered what nobody here can read.';
export const supplierDidNotAnswer = (seconds: number): string => `The supplier did not answer within ${seconds} s.`;
export const supplierNotReached = 'The supplier cannot be reached.';

// take-in
export const handOverNotRead = 'This hand-over cannot be read.';
export const sheetNotRead = 'This bench sheet cannot be read.';
export const sawOfAnotherCustomer = 'That saw belongs to another customer: pick one of theirs or write a new one.';

// work-card
export const fitPart = (sku: string, name: string): string => `Fit the new one: ${sku}, ${name}`;
export const fitNewOne = 'Fit a new one: no plan is signed that names it.';
export const dipIsLeft = (minutes: number): string => `The dip at ${minutes} mm is left as it is.`;
export const chain = 'Chain';
export const allCutters = 'All cutters to';
export const driveSprocket = 'Drive sprocket';
export const gearDue = (customer: string): string => `Gear of ${customer}`;

// gear
export const customerIsKnown = (name: string): string =>
  `${name} is in the books already: look them up, or write a name that tells the two apart.`;
export const sawIsMerged = (label: string): string =>
  `This record of ${label} was found to be one with another: look at that one, or undo it there.`;
export const mergeWithAnother = 'A record is one with itself: choose the other record of this saw.';
export const pieceIsGone = 'This piece is on no saw any more: what left cannot be put on another.';
export const chainIsNotThisSaws =
  'One of these chains is none of this saw’s, or left it for good: look at the saw again and choose among what is there.';
export const pieceStaysWithItsOwner =
  'This saw is another customer’s: a piece that changes hands is taken in anew, with the saw it goes to.';
export const pieceIsThere = 'This piece is on that saw already: choose another saw.';
export const changedSinceUndoThat = (label: string): string =>
  `Something else was said of ${label} since: undo that first.`;
export const isUndoneAlready = 'This was undone already.';

export const modelIsKnown = (model: string): string =>
  `${model} is among the models already: mend that one, or write a bar that tells the two apart.`;
export const modelsAreKnown = 'All models of that list are known already: nothing was taken in.';
export const usualForModel = (model: string): string =>
  `Usual for the model ${model}, not measured: count the links before anything is sold by it.`;

export const roundIsAnswered = 'This set is answered: what was read and said of it stands.';
export const noHintsOnAPaper = 'On an assessor’s paper there are no hints.';
export const answerThisSetFirst = 'Answer this set first: on a sitting the sets come one after the other.';
export const notInPractice = 'A set of practice tells nothing of that: it costs nothing, and is not needed.';
export const pictureNotUnderstood =
  'What is asked of the picture is not understood: find is rivets or mount, points are pixels such as 812,640;1490,655, line is a length in mm.';
