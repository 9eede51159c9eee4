import type { GearChange } from '../../core/life';
import type { Part } from '../../core/reading';
import { partName } from './labels';
import { plural } from './plural';

interface Named {
  readonly label: string;
  readonly tag: string;
}

/** Something that was said of gear. */
interface SaidOfGear {
  readonly what: GearChange;
  readonly part: Part | null;
  readonly job: { readonly tag: string } | null;
  readonly saw: Named | null;
  readonly other: Named | null;
  readonly said: unknown;
  readonly before: unknown;
}

interface SaidOfModel {
  readonly facts: Facts & { readonly name: string; readonly bar: string };
}

type Facts = Readonly<Record<string, string | number | boolean | null>>;

const factName: Readonly<Record<string, string>> = {
  name: 'name',
  contact: 'contact',
  label: 'name',
  tag: 'tag',
  mount: 'mount',
  maxRpm: 'most revolutions a minute',
  bar: 'bar',
  pitch: 'pitch',
  gauge: 'gauge',
  links: 'links',
  sprocketKind: 'drive sprocket',
  teeth: 'teeth',
  splines: 'splines',
};

const valueText = (value: Facts[string] | undefined): string =>
  value === null || value === undefined || value === '' ? 'nothing' : `“${value}”`;

/** What became of facts, each with what stood before. */
function mended(said: Facts, before: Facts): string {
  const changed = Object.keys(factName).filter((key) => key in said && said[key] !== before[key]);
  const texts = changed.map((key) => `${factName[key]} ${valueText(said[key])}, before ${valueText(before[key])}`);
  if (said['retired'] !== before['retired']) texts.push(said['retired'] ? 'is offered no more' : 'is offered again');
  return texts.length === 0 ? 'Left as it was.' : `Mended: ${texts.join('; ')}.`;
}

/** A saw by its name and tag. */
export const sawText = (saw: Named | null): string =>
  saw ? [saw.label, saw.tag].filter(Boolean).join(' ') : 'another saw';

/** A model by its name and its bar. */
export const modelText = ({ name, bar }: { readonly name: string; readonly bar: string }): string =>
  [name, bar].filter(Boolean).join(', ');

/** What was said of customers, saws, models and pieces, as a sentence. */
export function gearSaid({ what, part, job, saw, other, said, before }: SaidOfGear): string {
  const piece = part ? partName[part] : '';
  switch (what) {
    case 'customer-entered':
    case 'saw-entered':
      return 'Entered.';
    case 'customer-mended':
    case 'saw-mended':
      return mended(said as Facts, before as Facts);
    case 'saws-merged': {
      const { jobs } = before as { readonly jobs: readonly string[] };
      const went = plural(jobs.length, { one: '# job', other: '# jobs' });
      return `${sawText(saw)} is one saw with ${sawText(other)}: ${went} went there.`;
    }
    case 'saws-listed': {
      const { name, saws, customers } = said as {
        readonly name: string;
        readonly saws: number;
        readonly customers: number;
      };
      const brought = plural(saws, { one: '# saw', other: '# saws' });
      const owners = customers > 0 ? ` and ${plural(customers, { one: '# customer', other: '# customers' })}` : '';
      return `${name}: ${brought}${owners}.`;
    }
    case 'model-entered':
      return `${modelText((said as SaidOfModel).facts)}: entered.`;
    case 'model-mended': {
      const { facts } = said as SaidOfModel;
      return `${modelText(facts)}: ${mended(facts, before as Facts)}`;
    }
    case 'models-listed': {
      const { name, models } = said as { readonly name: string; readonly models: number };
      return `${name}: ${plural(models, { one: '# model', other: '# models' })}.`;
    }
    case 'piece-tagged': {
      const { tag } = said as { readonly tag: string };
      return tag === '' ? `${piece}: its tag was taken off.` : `${piece}: tagged “${tag}”.`;
    }
    case 'piece-moved':
      return `${piece} went from ${sawText(saw)} to ${sawText(other)}.`;
    case 'piece-told': {
      const { isSame } = said as { readonly isSame: boolean };
      return `${piece} of ${job?.tag ?? 'a job'}: ${isSame ? 'the one of the job before' : 'another than at the job before'}.`;
    }
    case 'chains-in-turn': {
      const { pieces } = said as { readonly pieces: readonly string[] };
      return pieces.length < 2 ? 'Its chains go in turn no more.' : `${pieces.length} chains go in turn.`;
    }
    case 'chain-told':
      return `The chain of ${job?.tag ?? 'a job'}: another of those that go in turn.`;
    case 'undone':
      return 'Undone.';
  }
}
