import { plural } from '../plural';

export const practice = 'Practice';
export const says =
  'Parts that cost nothing, made with a known truth: read what you need, say what is right to do, and see what you missed. Nothing here touches a job, the shelf or the figures.';

// Beginning
export const beginARound = 'Begin a round';
export const level = 'Level';
export const theme = 'About';
export const begin = 'Begin';
export const twentyMinutes = 'Twenty minutes';
export const twentyMinutesSays = 'One set after another, until their readings have taken twenty minutes.';
export const whatIsDue = 'What is due';
export const whatIsDueSays = 'What you missed comes again sooner, what you found later.';
export const assessorsPapers = 'Assessor’s papers';
export const papersSay = 'The same sets for everybody: no hints, no going back, compared at the end.';
export const sitThePaper = (name: string): string => `Sit it: ${name}`;
export const firstRound = 'Your first round';
export const firstRoundSays = 'One set, taken step by step.';
export const beginTheFirst = 'Begin the first round';
export const notBegun = 'The round was not begun.';
export const pocketPage = 'Pocket page of the limits in force';

// The round
export const round = 'Round';
export const roundOf = (place: number, of: number | null): string =>
  of === null ? `Set ${place}` : `Set ${place} of ${of}`;
export const itsCustomerSays = 'Its customer says';
export const forService = 'It came for service: no complaint.';
export const minutesTaken = 'Minutes taken';
export const minutes = (count: number): string => `${count.toFixed(1)} min`;
export const ofTheSitting = (spent: number, of: number): string => `${spent.toFixed(1)} of ${of} min in all`;
export const whatWasRead = 'Read so far';
export const nothingRead = 'Nothing yet. Go to a field and press Enter, or Read.';
export const readings = (count: number): string => plural(count, { one: '# reading', other: '# readings' });
export const hint = (minutes: number): string => `A hint, for ${minutes} min`;
export const hintNext = (what: string): string => `Read next: ${what}.`;
export const goThere = 'Go there';
export const hintNone = 'Nothing more is to be read: what you have decides.';
export const notAsked = 'It could not be read.';
export const instruments = 'Instruments';
export const answerTab = 'Answer';
export const step = 'Reading';
export const chooseAField = 'Choose a field: it tells here what reading it costs.';
export const read = 'Read';
export const readAgain = 'Read again';
export const costs = (minutes: number): string => `${minutes.toFixed(1)} min`;
export const readsWhat = (what: string): string => `Read: ${what}`;
export const came = (what: string, text: string): string => `${what}: ${text}`;
export const cameToNothing = (what: string): string => `${what}: nothing to be seen there.`;
export const howToRead = 'How to do it';
export const withTool = (tool: string, held: string): string => `With the ${tool}: ${held}`;
export const howToLook =
  'Clean it first, hold it to the light, and go along all of it: tap any of its words, and the part shows which one is true.';
export const reading = 'Reading…';

// The guided first round
export const guide = 'How a round goes';
export const guideSteps = {
  complaint: 'Read what its customer says: it tells where to look first.',
  marks: 'Read the marks: Marks, “On the bar”, Enter.',
  stands: 'Stand the clean bar on its edge, in “Bar: Measure”: it falls to its low rail.',
  rails: 'Read the rails at three stations of an edge, in “Bar: Measure”.',
  answer: 'Say what is right to do: Answer.',
} as const;

// The answer
export const whatIsRight = 'What is right to do?';
export const howSure = (part: string): string => `${part}: how sure?`;
export const surePercent = (share: number): string =>
  share === 0.5 ? 'a guess' : share >= 0.99 ? 'certain' : `${Math.round(share * 100)} %`;
export const whatIsWrong = 'What is wrong?';
export const faultsOf = (part: string): string => `Faults: ${part}`;
export const faultsOfTheSet = 'Faults: of the set';
export const whatBringsIt = 'What brings the complaint about?';
export const belong = 'Do bar and chain belong together?';
export const yes = 'Yes';
export const no = 'No';
export const order = 'Must a chain be ordered?';
export const pitch = 'Pitch';
export const gauge = 'Gauge';
export const driveLinks = 'Drive links';
export const kickback = 'Class';
export const choose = 'Choose…';
export const giveTheAnswer = 'That is my answer';
export const answerFirst = 'Answer first, compared after: an answer stands.';
export const sayOfEach = 'Say of each part what is right, and how sure you are.';
export const sayWhetherTheyBelong = 'Say whether bar and chain belong together.';
export const sayWhatToOrder = 'Say whether a chain must be ordered, and by which numbers.';
export const linksBetween = 'Drive links are a whole number from 20 to 200.';
export const notAnswered = 'The answer was not taken.';

// Review
export const review = 'What it came to';
export const points = (share: number): string => `${Math.round(share * 100)} of 100`;
export const partHead = 'Part';
export const youSaid = 'You said';
export const wasRight = 'Right';
export const mark = 'Mark';
export const either = ' or ';
export const schoolsDiffer = 'Schools differ here: either is right.';
export const found = 'Found';
export const missed = 'Missed';
export const invented = 'Not there';
export const whatWasWrong = 'What was wrong';
export const nothingWasWrong = 'Nothing was wrong with this set.';
export const causes = 'Causes';
export const wouldHaveTold = 'What you did not read, and what it would have told';
export const wouldTell = (reading: string, fault: string): string => `${reading}: ${fault}`;
export const takenForNothing = 'Read for nothing';
export const nothingMissing = 'You read all that shows what was wrong.';
export const minutesOf = (taken: number, shortest: number): string =>
  taken < shortest
    ? `${taken.toFixed(1)} min taken. To be certain of every part took ${shortest.toFixed(1)} for whoever knew where to look: less was read than decides.`
    : `${taken.toFixed(1)} min taken; whoever knew where to look needed ${shortest.toFixed(1)}.`;
export const asItWasMade = 'The set as it was made';
export const showAsMade = 'Show it on the bench’s own drawings';
export const orderHead = 'Order';
export const noChain = 'no chain';
export const belongHead = 'Bar and chain';
export const theyBelong = 'belong together';
export const theyDoNot = 'do not belong together';
export const notSaid = 'not said';
export const nextSet = 'The next set';
export const anotherRound = 'Back to Practice';
export const sittingIsOver = 'That was the last set of this sitting.';
export const answerIsTaken = 'Your answer is taken. It is compared when the paper is done.';
export const printResult = 'Result of this paper, to print';
export const notGoneOn = 'The next set could not be had.';

// Progress
export const progress = 'How you do';
export const progressOf = (by: string): string => `How ${by} does`;
export const noRounds = 'No round yet: what you find and miss is counted here.';
export const roundsAnswered = (count: number): string => plural(count, { one: '# round', other: '# rounds' });
export const meanPoints = (share: number): string => `${Math.round(share * 100)} of 100 on average`;
export const brier = (score: number, of: number): string =>
  `How sure you were, against how often you were right: ${score.toFixed(3)} over ${plural(of, { one: '# statement', other: '# statements' })} (0 is best, always saying “a guess” gives 0.25).`;
export const skills = 'Skills';
export const fault = 'Fault';
export const metFound = 'Found of met';
export const comesAgain = 'Comes again';
export const now = 'now';
export const never = 'not met yet';
export const lastRounds = 'Last rounds';
export const what = 'What';
export const pointsHead = 'Points';
export const minutesHead = 'Minutes';
export const goOn = 'Go on';
export const notToldYet = 'at the end';
export const others = 'Others who practise';
export const back = 'Back to your own';
export const onAPaper = (name: string, place: number): string => `${name}, set ${place}`;
export const kinds = {
  one: 'Round',
  due: 'What was due',
  twenty: 'Twenty minutes',
  paper: 'Paper',
  first: 'First round',
} as const;
export const reliability = 'Sure and right';
export const curveSays = (
  points: readonly { readonly stated: string; readonly right: string; readonly of: number }[],
): string => points.map(({ stated, right, of }) => `said ${stated}, right ${right} of ${of}`).join('; ');
export const statedAxis = 'how sure';

// Papers
export const pocketTitle = 'Limits in force';
export const makersFirst =
  'The maker’s own figures, local rules and a licensed trainer come before this page. Eye protection and gloves; chain brake on; never stand in line with a running chain.';
export const limit = 'Limit';
export const value = 'Value';
export const limitFrom = (name: string, source: string): string => `${name} (${source})`;
export const nothingNamed = 'nothing';
export const compared = (what: string, answered: string, right: string, mark: string | null): string =>
  `${what}. Answered: ${answered}. Right: ${right}${mark === null ? '' : `. Mark: ${mark}`}.`;
export const faultsHead = 'Faults';
export const askedWas = (what: string): string => `Asked: ${what}.`;
