// EvidenceView
export const readAMarkMeasure =
  'Read a mark, measure a span or count the links: each will stand here with what it says.';
export const nothingSpeaksOfTheNumbers = 'Nothing speaks of the numbers yet';
export const ifPutBack = 'Put back: ';
export const withoutIt = 'Without it: ';
export const nothingChanges = 'nothing changes.';
export const putBack = 'Put back';
export const setAside = 'Set aside';

// GaugeView
export const driveLink = 'Drive link';
export const linksOnlyWearThinner = 'links only wear thinner';
export const grooveOfTheBar = 'Groove of the bar';
export const nearTheFloorTheMouth = 'near the floor: the mouth wears wider';
export const largestTabThatGoes = 'Largest tab that goes in to the floor';
export const kickbackClass = 'Kickback class';
export const slotItFills = 'Slot it fills without wobble';

// LinksView
export const driveLinks = 'Drive links';
export const countTwice = 'count twice, even when stamped: the bar may be another than the saw came with';
export const count = 'Count';
export const countAgain = 'Count again';
export const crossChecks = 'Cross-checks';

// LoopView
export const lengthOfTheBar = 'Length of the bar';
export const theSameBarDiffers = 'the same bar differs from saw to saw';
export const lengthsDisagree = 'The listed length and the measured one do not belong together.';
export const tension = 'Tension';
export const centreToCentreBar = 'centre to centre, bar on the saw';
export const saidNotToTakeUp = 'It is said not to take up tension. ';

// MarksView
export const barAndChain = 'Bar and chain';
export const nearTheBarsTail = 'near the bar’s tail; on the drive link or cutter';
export const onTheBar = 'On the bar';
export const barMarkExample = '18 in 325 .050 1.3 72DL';
export const onTheChain = 'On the chain';
export const chainMarkExample = '3/8LP .050, or a code';
export const driveSprocket = 'Drive sprocket';
export const punchedOnIt = 'Punched on it';
export const nose = 'Nose';
export const pitchMustAgree = 'pitch must agree on all three wheels';
export const aHardNoseHasNo = 'A hard nose has no sprocket and no pitch of its own.';
export const takenApart = (label: string): string => `${label}, taken apart`;
export const codeOfThisShop = 'code of this shop';
export const notRead = 'not read';

// NumberCards
export const numbersOf = 'Numbers of';
export const ofThe = (title: string, part: string): string => `${title} of the ${part}`;
export const settled = 'settled';
export const open = 'open';
export const contradicted = 'contradicted';

// PitchView
export const spanOverRivets = 'Span over rivets';
export const chainPulledStraightCentre = 'chain pulled straight, centre of the first rivet to centre of the last';
export const enoughToPart = (length: string): string => `Known to ± ${length}: enough to part the families.`;
export const threeRivetsSpanTwoPitches = 'Three rivets span two pitches. More rivets, less doubt.';
export const spanMoreRivets = (length: string, rivetsFor: number, second: string): string =>
  `Known to ± ${length}. Span ${rivetsFor} rivets for ± ${second}: the hand’s slip is shared among more pitches.`;
export const lowProfileOrStandard = 'Low profile or standard?';
export const neverInterchange = 'both are called 3/8; they never interchange';

// Tapper
export const whileCountingLinksCountOne = 'while counting links: count one, mark a link, take one back';
export const countALinkSoFar = (count: number): string => `Count a link: ${count} so far`;
export const markedAt = (list: string): string => `marked at ${list}`;
export const spaceOrATouchCounts = 'space or a touch counts a link';
export const oneBack = 'One back';
export const markLink = 'Mark link';
export const keep = (more: string | number): string => `Keep ${more}`;
export const oddSoFar = (count: number): string =>
  `${count} is odd so far: a loop with one pair out of order at the join, or a link missed.`;
export const keptOnceMore = 'Kept. Once more from the marked link.';
export const equalCountsSettle = (count: number): string => `${count} again: two equal counts settle it.`;
export const countsDisagree = (count: number, before: number): string =>
  `${count} now, ${before} before. Set a mark on one link and count again: two equal counts settle it.`;

// identify
export const marks = 'Marks';
export const pitch = 'Pitch';
export const gauge = 'Gauge';
export const links = 'Links';
export const lengthAndTension = 'Length and tension';
export const evidence = 'Evidence';
export const wayBefore = 'the way to identify before this one';
export const wayAfter = 'the way after it';
export const identifyTheLoop = 'Identify the loop';
export const threeNumbersOrderAChain = 'Three numbers order a chain. A bar’s length does not.';
export const waysToIdentify = 'Ways to identify';

// By photograph
export const fromAPicture = 'Pitch from a photograph with the scale card';
