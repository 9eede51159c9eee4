import type { GearChange } from '../../core/life';
import { LIMIT_IDS } from '../../core/limits';
import { PEOPLE_EVENTS } from '../../core/people';
import type { RECORD_KINDS } from '../../core/records';
import { INSTRUMENT_IDS } from '../../core/quantity';
import { choiceLabel, choicesAt } from './choices';
import { instrumentName } from './instruments';
import { limitName } from './limit-names';
import { peopleEventSays } from './people';
import { isReadingPath, readingAt } from '../../core/sheet';
import { readingName } from './places';
import { list, sentence } from './sentence';
import { shopChange } from './shop-change';
import { movementWord } from './stock-movement';

type Told = Readonly<Record<string, unknown>>;

const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');

/** What was done with customers, saws, pieces and models, without its detail: that stands at the thing itself. */
const GEAR_DONE: Readonly<Record<GearChange, string>> = {
  'customer-entered': 'A customer was entered.',
  'customer-mended': 'A customer was mended.',
  'saw-entered': 'A saw was entered.',
  'saw-mended': 'A saw was mended.',
  'saws-merged': 'Two records of a saw became one.',
  'saws-listed': 'A list of saws was taken in.',
  'model-entered': 'A model of saw was entered.',
  'model-mended': 'A model of saw was mended.',
  'models-listed': 'A list of models was taken in.',
  'piece-tagged': 'A piece was tagged.',
  'piece-moved': 'A piece went on another saw.',
  'piece-told': 'It was said whether a piece is the one before.',
  'chains-in-turn': 'It was said which chains go in turn.',
  'chain-told': 'It was said which of the chains a job came with.',
  undone: 'What had been said of gear was undone.',
};

function limitSaid({ limitId, value }: Told): string {
  const known = LIMIT_IDS.find((id) => id === limitId);
  const name = known ? sentence(limitName[known]) : text(limitId);
  if (value === null || value === undefined) return `${name}: back to its default.`;
  return `${name} was set to ${text(typeof value === 'object' && 'value' in value ? value.value : value)}.`;
}

function studySaid({ instrument, setsAside }: Told): string {
  const known = INSTRUMENT_IDS.find((id) => id === instrument);
  const tool = known ? instrumentName(known) : text(instrument);
  return setsAside ? `A study of the ${tool} was set aside.` : `A study was made of a hand with the ${tool}.`;
}

/** A reading by its name; what this version does not know, as it was written. */
const placeOf = (path: string): string => (isReadingPath(path) ? sentence(readingName(path)) : path);

/** What says a unit of its own: a letter, or a mark of inches. */
const BEARS_A_UNIT = /[\p{L}"″]/u;

/** What was read, in words where it is one of some, or several of them; a length with the unit it was typed in. */
function readAs(path: string, read: string, unit: string): string {
  if (read === '') return 'taken away';
  if (unit !== '' && readingAt(path)?.kind.kind === 'length') return BEARS_A_UNIT.test(read) ? read : `${read} ${unit}`;
  // What is typed freely stays as it was typed, commas and all.
  if (!isReadingPath(path) || choicesAt(path).length === 0) return read;
  return list(read.split(/,\s*/).map((each) => choiceLabel(path, each)));
}

/** What each kind of record says that somebody did, in a sentence. */
const SAYS: Readonly<Record<(typeof RECORD_KINDS)[number], (told: Told) => string>> = {
  reading: ({ path, text: read, unit }) => `${placeOf(text(path))}: ${readAs(text(path), text(read), text(unit))}.`,
  sign_off: () => 'The verdicts were signed off.',
  hand_over: () => 'The job was handed over.',
  limit_change: limitSaid,
  shop_change: ({ what, value }) => {
    const { name, became } = shopChange({ what: text(what), value: value === null ? null : text(value) });
    return `${name} ${became}.`;
  },
  hand_study: studySaid,
  stock_movement: ({ sku, kind, change }) => {
    const word = (movementWord as Readonly<Record<string, string>>)[text(kind)] ?? text(kind);
    return `${text(sku)}: ${word} (${Number(change) > 0 ? '+' : ''}${text(change)}).`;
  },
  part_order: ({ sku }) => `${text(sku)} was ordered.`,
  part_order_event: ({ sku, state }) => `The order of ${text(sku)}: ${text(state)}.`,
  gear_change: ({ what }) => GEAR_DONE[what as GearChange],
  people_event: ({ what, about, detail }) => {
    const event = PEOPLE_EVENTS.find((each) => each === what);
    return event ? peopleEventSays[event](text(about), text(detail)) : text(what);
  },
};

/** What somebody did, as its record tells it. */
export const auditSays = (record: (typeof RECORD_KINDS)[number], told: Told): string => SAYS[record](told);
