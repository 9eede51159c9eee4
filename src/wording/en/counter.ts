import type { FamilyId } from '../../core/families';
import { never } from '../../core/result';
import type { CounterCaution, CounterNumbers, Question } from '../../core/counter';
import { numberOnMarkSentence } from './identity';
import { fitSentence } from './judgements';
import { familyLabel } from './labels';
import { readingName } from './places';
import { list, sentence } from './sentence';

/** Questions as one asks them over the counter or the telephone. */
const ASK: Readonly<Record<string, string>> = {
  'saw.mount': 'Which mount does the saw have?',
  'bar.stamp': 'What is punched into the bar near its tail?',
  'chain.stamp': 'What is punched on the drive links or cutters?',
  'chain.chassis': 'Beside a known chain: small links and cutters, or large ones?',
  'chain.fileSize': 'Which round file is used on this chain?',
  'chain.driveLinks': 'Count the drive links, the teeth that run in the groove. Then once more.',
  'chain.driveLinkThickness': 'How thick is a drive link? A caliper, or which slot it goes into.',
  'chain.span': 'How far is it over three rivets, middle to middle?',
  'chain.template': 'Which template fits the rivets?',
  'chain.kickbackClass': 'Was the old chain low-kickback or standard?',
  'driveSprocket.type': 'One piece with its drum, or a ring that slides on a hub?',
  'driveSprocket.teeth': 'How many teeth has the old sprocket?',
  'bar.noseTeeth': 'How many teeth has the sprocket of the nose?',
  'driveSprocket.bore': 'What is the bore that the sprocket turns on?',
  'saw.splines': 'How many splines has the hub that the ring slides on?',
  'job.operatorTrained': 'Who runs the saw: somebody trained in its use, or not?',
};

/** The question itself. */
export function questionAsked({ asks }: Question): string {
  return ASK[asks] ?? `${sentence(readingName(asks))}?`;
}

/** What its answer is good for. */
export function questionWhy({ asks, settles }: Question): string {
  if (asks === 'bar.stamp') return 'Pitch, gauge and links often stand there together.';
  switch (settles) {
    case 'pitch':
      return 'Settles the pitch. The same number in 3/8 comes in two builds that never interchange.';
    case 'gauge':
      return 'Settles the gauge: the thickness that runs in the groove.';
    case 'driveLinks':
      return 'Settles the count. A length in inches does not, and a stamp may be another bar’s.';
    case 'class':
      return 'Decides the kickback class. Local rules come first.';
    case 'mount':
      return 'A bar must fit the saw before anything else.';
    case 'sprocketKind':
      return 'A rim is replaced by a rim, a spur by a spur: neither goes in the other’s place.';
    case 'teeth':
      return 'Another number of teeth is another part.';
    case 'saw':
      return 'Decides whether it sits on this saw.';
    default:
      return never(settles);
  }
}

/** A number of the counter as a word: its value, or what is still in question. */
export function counterValue(property: keyof CounterNumbers, numbers: CounterNumbers): string {
  const { values, status } = numbers[property];
  if (values.length === 0) return status === 'conflict' ? '≠' : '?';
  const write = (value: string | number): string => {
    if (property === 'pitch') return familyLabel(value as FamilyId);
    return String(value);
  };
  return list([...values].slice(0, 4).map(write), status === 'conflict' ? 'against' : 'or');
}

/** What must be said before anything is handed over. */
export function counterCaution(caution: CounterCaution): string {
  switch (caution.code) {
    case 'count-before-handing-over':
      return 'The links stand on the stamp only: count them before the chain leaves the shop.';
    case 'counted-once':
      return `Counted once, and the stamp says ${caution.links} too: count again before the chain leaves the shop.`;
    case 'sequence-not-counted':
      return 'The cutters were not counted: it is sold as full complement. Ask whether every second pair of links carries a cutter.';
    case 'sequence-doubted':
      return fitSentence(caution.judgement);
    case 'replaced':
      return `Code ${caution.text} is no longer sold: ${caution.by} takes its place.`;
    case 'build-open':
      return '3/8 comes in two builds that never interchange: hand nothing over until it is known which.';
    case 'on-one-mark':
      return numberOnMarkSentence(caution.number, caution.onMark);
    case 'clash':
      return fitSentence(caution.judgement);
    case 'usual-loops': {
      const loops = caution.loops.map(({ links, family }) => `${links} links of ${familyLabel(family)}`);
      const why = `A length of ${caution.inches} in settles nothing: the same bar is measured and named differently from saw to saw, and one length is sold for several pitches and counts.`;
      return loops.length === 0
        ? why
        : `${why} Often it carries ${list(loops, 'or')}: that makes a count plausible and answers nothing.`;
    }
    default:
      return never(caution);
  }
}
