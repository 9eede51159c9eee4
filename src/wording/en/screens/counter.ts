import { plural } from '../plural';
import { list } from '../sentence';

// Answer
export const notKnown = 'not known';
export const answerMayBeOld = (trouble: string): string =>
  `${trouble} What you typed is kept here; the answer below may be old.`;
export const thesePartsDoNotBelong = 'These parts do not belong together';
export const kickbackClass = (kickbackClass: string, more: string): string => `Kickback class: ${kickbackClass}${more}`;
export const standardChainIsChosenBecause = 'Standard chain is chosen because';
export const neverSteppedUpInSilence =
  'Never stepped up in silence: the reason goes on record. Local rules come first.';
export const why = 'why';
export const looking = 'Looking…';
export const nothingLeftToAsk = 'Nothing left to ask: what is below fits by what was said and counted.';
export const askNext = 'Ask next';
export const answerIt = 'Answer it';
export const standardChainInstead = ' · standard chain instead?';
export const settled = 'settled';
export const open = 'open';
export const contradicted = 'contradicted';

// CounterPage
export const takeTheAnswerAndGo = 'take the answer and go to the next question';
export const chooseAmongSaws = 'choose among saws';
export const counter = 'Counter';
export const typeWhatIsKnown = 'Type what is known; leave the rest. Enter goes to the next question.';

// KeepIt
export const makeItAJob = 'Make it a job';
export const rememberTheSaw = 'Remember the saw';
export const orderSlip = 'Order slip';
export const nextCaller = 'Next caller';
export const rememberIt = 'Remember it';
export const sawIsRemembered = (label: string, customer: string): string =>
  `${label} of ${customer} is remembered for next time.`;

// SawPicker
export const theSawWasNotRecalled = 'The saw was not recalled.';
export const whichSawOrWhose = 'Which saw, or whose';
export const remembered = 'remembered';
export const noSawBeginsSo = 'No saw begins with that. Go on with what is known.';
export const saws = 'Saws';
export const nameTagOrOwner = 'name, tag or owner; or go on without';

// Shelf
export const fits = 'fits';
export const near = 'near';
export const mayFit = 'may fit';
export const onTheShelf = 'On the shelf';
export const partsAppearHere = 'Parts appear here with the first number known.';
export const nothingComesNear = 'Nothing on the shelf comes near that.';
export const equalAndHere = (list: string): string => `· equal and here: ${list}`;
export const left = (quantity: number): string => `${quantity} left`;
export const supplier = 'Supplier';
export const supplierSimulated = 'Supplier (simulated)';
export const askingPriceAndDelivery = 'Asking price and delivery…';
export const numbersHoldAllTheSame = (why: string): string =>
  `${why} The three numbers hold all the same: write the slip and order later.`;
export const theSupplierHasNone = 'The supplier has none at present.';
export const days = (count: number): string => plural(count, { one: '# day', other: '# days' });

// WhatIsKnown
export const driveSprocket = 'drive sprocket';
export const wanted = 'Wanted';
export const punchedOnTheBar = 'Punched on the bar';
export const barMarkExample = '18 in 325 .050 72DL';
export const onTheBarTakenApart = 'On the bar, taken apart';
export const markOnTheChain = 'Mark on the chain';
export const chainMarkExample = '3/8LP, or a code';
export const onTheChainTakenApart = 'On the chain, taken apart';
export const barLength = 'Bar length';
export const barLengthExample = '18 in';
export const driveLinks = 'Drive links';
export const again = 'Again';
export const whoRunsTheSaw = 'Who runs the saw';
export const buildAtThreeEighths = '3/8: build of links and cutters';
export const chainInHand = 'Chain in hand';
export const noByWord = 'no, by word';
export const yesToMeasure = 'yes, to measure';
export const rivets = 'Rivets';
export const span = 'Span';
export const linkThick = 'Link thick';
export const fileUsed = 'File used';
export const mount = 'Mount';
export const onTheSprocket = 'On the sprocket';
export const cutters = 'Cutters';
export const sequence = 'Sequence';
export const kindOfSprocket = 'Kind of drive sprocket';
export const splines = 'Splines';
export const teeth = 'Teeth';
export const teethOfTheNose = 'Teeth of the nose';
export const bore = 'Bore';
export const codeNotRead = 'A piece that is not read may be a code of its maker. Once it is known what it stands for:';
export const teachIt = 'teach it under Shop';
export const mountsOfThisShop = 'What each mount is';
export const mountsNotToBeHad = 'The list of mounts was not to be had.';
export const noMountYet = 'No bar on the list and no saw names a mount yet.';
export const mountIs = (bars: number, saws: readonly string[]): string =>
  [
    saws.length > 0 ? `on ${list(saws)}` : 'on no saw that came yet',
    plural(bars, { one: '# bar on the list', other: '# bars on the list' }),
  ].join('; ');
export const classOfTheOldChain = 'Class of the old chain';

// WhoseForm
export const itWasNotStored = 'It was not stored. What you typed is still here: try again.';
export const whose = 'Whose is it? Write the customer’s name.';
export const customer = 'Customer';
export const saw = 'Saw';

// use-counter
export const theCounterDidNotAnswer = 'The counter did not answer.';

export const isAModel = 'model: usual, not measured';

// By photograph
export const fromAPicture = 'From a photograph';
export const cardToSend = 'Scale card to send';
