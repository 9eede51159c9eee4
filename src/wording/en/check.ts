import { never } from '../../core/result';
import type { Check, CheckNote, Place } from '../../core/judge';
import { formatLength, formatPosition, mm, type UnitSystem } from '../../core/quantity';
import { checkName, observedSentence, wordsOfCheck } from './checks-said';
import { familyLabel, provenanceWord, railWord, sideWord, straightEdgeWord } from './labels';
import { besideForeseen, foreseenSentence } from './past';
import { readingName } from './places';
import { list } from './sentence';
import { plural } from './plural';
import { checkValue, figure, valueWithDoubt } from './value';

/** Where a check was made: `edge A at 180 mm, far rail`. */
export function placeName(at: Place | null, unit: UnitSystem): string {
  if (!at) return '';
  return [
    at.mm === undefined ? `edge ${at.edge}` : `edge ${at.edge} at ${formatPosition(mm(at.mm), unit)}`,
    at.rail ? railWord[at.rail] : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** Sentences for a value beyond its limit. */
const beyond = (check: Check, value: string, limit: string): string =>
  wordsOfCheck(check.id)?.fail?.(value, limit, check) ?? `${checkName[check.id]}: ${value}, limit ${limit}.`;

/** Sentences for a value beyond where watching begins. */
const warned = (check: Check, value: string, watch: string): string =>
  wordsOfCheck(check.id)?.watch?.(value, watch, check) ?? `${checkName[check.id]}: ${value}, watch from ${watch}.`;

function note(item: CheckNote, of: Check['unit'], unit: UnitSystem): string {
  switch (item.code) {
    case 'needs':
      return `Needs: ${list([...new Set(item.readings.map(readingName))], 'or')}.`;
    case 'depends-on-pitch':
      return `The limit waits for the pitch: ${list(item.families.map(familyLabel), 'or')}.`;
    case 'mouth-alone':
      return item.lifted
        ? 'The mouth alone says no more; in the straight-edge test the gap stays, and that clears it.'
        : 'The mouth is the widest place: it alone cannot condemn. Measure the width further down, or make the straight-edge test.';
    case 'may-hide':
      return item.ruled
        ? 'Measure between the stations.'
        : 'Lay a rule along the rails against the light, or measure between the stations.';
    case 'floor-alone':
      return 'The width near the floor alone: the mouth may be wider. Measure it.';
    case 'thin-chain':
      return 'The chain it was made with is thinner than the bar is for: the test tells of the chain. Make it with a chain of the bar’s gauge.';
    case 'by-hand':
      return '';
    case 'play-clears':
      return 'The play that was measured is within its limit: nothing is to be done about it.';
    case 'closed-longer':
      return 'Closed came out longer than pulled: one of the two is wrong. Measure both again.';
    case 'damage-not-placed':
      return `Damage on the ${sideWord[item.side]} side was taken off the shortest cutter of the other side: measure a cutter of its own.`;
    case 'test-disagrees':
      return `In the test ${straightEdgeWord[item.observed as keyof typeof straightEdgeWord]}; from the measured groove ${straightEdgeWord[item.predicted as keyof typeof straightEdgeWord]}. Make the test or measure the width again.`;
    case 'on-cutter':
      return `It is the ${sideWord[item.side]} cutter ${item.cutter}.`;
    case 'angle-wanted':
      return `Wanted: ${item.degrees}\u00b0.`;
    case 'file-to-use':
      return `The file that mends it: ${formatLength(mm(item.file), unit)} round.`;
    case 'gauge-strokes':
      return item.strokes === 0
        ? `It is the ${sideWord[item.side]} cutter ${item.cutter}.`
        : `It is the ${sideWord[item.side]} cutter ${item.cutter}; ${plural(item.filed, { one: 'one is filed', other: '# are filed' })}, the highest by about ${plural(item.strokes, { one: '# stroke', other: '# strokes' })} of the flat file.`;
    case 'gauge-back':
      return item.back === 0
        ? ''
        : `It is the ${sideWord[item.side]} cutter ${item.cutter}; it cannot be raised: its cutter must go back ${formatLength(mm(item.back), unit)} until it stands right.`;
    case 'over-baseline':
      return `Counted over the ${item.percent.toFixed(2)} % that it showed when it was new.`;
    case 'grade-disagrees':
      return item.measured === 'sound'
        ? 'The measured wear says that it is sound: measure it again, and look once more.'
        : 'The measured wear says that it is worn: measure it again, and look once more.';
    case 'feel-disagrees':
      return 'The tape says otherwise: measure once more.';
    case 'foreseen':
      return '';
    case 'with-foreseen':
    case 'not-as-foreseen':
      return besideForeseen(item, of, unit);
    case 'wash-first':
      return 'It is packed with dirt: wash it, blow it out from the side, and try it again before it is condemned.';
    case 'ask-replaceable':
      return 'Say whether the nose is replaceable.';
    default:
      return never(item);
  }
}

/** What level tests alone say of an edge. */
function byHand({ outcome, probability }: Check, { high, tests }: Extract<CheckNote, { code: 'by-hand' }>): string {
  // Nothing that was only tried by hand is certain.
  const chance = `${Math.min(99, Math.max(1, Math.round(100 * (1 - (probability ?? 0)))))} %`;
  const said = plural(tests, { one: 'one test by hand', other: '# tests by hand' });
  if (outcome === 'fail')
    return `The ${high} rail stands high, by ${said} (${chance} sure), amount unknown: dress it until both rails shine, and measure the depth for what metal is left.`;
  if (outcome === 'ok') return `The rails stand level, by ${said}.`;
  return `Whether a rail stands high is open after ${said} (${chance}): set the square at more places.`;
}

function core(check: Check, unit: UnitSystem): string {
  if (check.kind === 'observation') {
    const said = observedSentence(check.id, check.observed);
    if (said !== null) return said;
    if (check.observed === null) return `${checkName[check.id]} not measured.`;
    return `${checkName[check.id]}: ${check.observed}.`;
  }
  if (check.note?.code === 'by-hand') return byHand(check, check.note);
  if (check.note?.code === 'foreseen') return foreseenSentence(check, check.note, unit);
  const value = checkValue(check, unit);
  if (check.note?.code === 'closed-longer') return '';
  if (check.outcome === 'not-measured')
    return `${checkName[check.id]} is ${value}, with nothing yet to hold it against.`;
  const limit = check.limit === null ? '' : figure(check.limit, check.unit, unit);
  if (check.outcome === 'fail') return beyond(check, value, limit);
  if (check.outcome === 'watch')
    return warned(check, value, check.watch === null ? limit : figure(check.watch, check.unit, unit));
  if (check.outcome === 'undecided' && check.bound !== null)
    return `Still open: ${checkName[check.id].toLowerCase()} is ${value} against ${limit}.`;
  if (check.outcome === 'undecided' && !check.condemns)
    return `Open: ${checkName[check.id].toLowerCase()} is ${valueWithDoubt(check, unit)} against ${limit}.`;
  if (check.outcome === 'undecided' && check.note?.code === 'may-hide')
    return `The least that was measured is ${valueWithDoubt(check, unit)} against ${limit}; a narrow dip between the stations may go below it (${Math.round(100 * (1 - (check.probability ?? 0)))}\u00a0%).`;
  if (check.outcome === 'undecided' && check.id === 'bar.depth')
    return `Too close to call: the least depth anywhere is ${valueWithDoubt(check, unit)} against ${limit}, ${sure(check, unit)}. Measure there again.`;
  if (check.outcome === 'undecided')
    return `Too close to call: ${checkName[check.id].toLowerCase()} is ${valueWithDoubt(check, unit)} against ${limit}. Measure it again.`;
  if (check.id === 'bar.depth' && check.bound === null && check.limit !== null)
    return `Least depth anywhere ${valueWithDoubt(check, unit)}, ${sure(check, unit)}.`;
  return within(check, value, limit);
}

/** Sentences for a value within its limit. */
const within = (check: Check, value: string, limit: string): string =>
  wordsOfCheck(check.id)?.ok?.(value, limit, check) ?? `${checkName[check.id]} is ${value}, limit ${limit}.`;

/** How sure a depth is over its limit, never rounded to certainty: `98 % over 6.00 mm`. */
function sure({ probability, limit, unit }: Check, system: UnitSystem = 'mm'): string {
  const percent = Math.min(99.9, Math.max(0.1, (probability ?? 0) * 100));
  const shown = percent > 99 || percent < 1 ? percent.toFixed(1) : percent.toFixed(0);
  return `${shown} % over ${limit === null ? '' : figure(limit, unit, system)}`;
}

/** A check as a sentence: verdict and reason first, then where, then what must be said beside it. */
export function checkSentence(check: Check, unit: UnitSystem = 'mm'): string {
  const where = placeName(check.at, unit);
  const said = [core(check, unit), check.note ? note(check.note, check.unit, unit) : ''].filter(Boolean).join(' ');
  return where === ''
    ? said
    : `${where.charAt(0).toUpperCase()}${where.slice(1)}: ${said.charAt(0).toLowerCase()}${said.slice(1)}`;
}

/** Where a check's limit comes from: its named source, or the kind of knowledge it is. */
export function limitSource({ source, provenance }: Check): string {
  return source ?? provenanceWord[provenance];
}
