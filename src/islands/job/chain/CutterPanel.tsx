import { DAMAGE_KINDS } from '../../../core/declared';
import { Choice } from '../../../ui/parts/Choice';
import { choicesAt, sentence, sideWord } from '../../../wording';
import { Field } from '../parts/Field';
import { EntryField } from '../parts/EntryField';
import { useJob } from '../store/JobContext';
import type { CutterSlots, Side } from './cutter-slots';
import type { CutterDamage } from './use-damage';
import * as texts from '#language/screens/job-chain';

interface CutterPanelProps {
  readonly side: Side;
  readonly cutter: number;
  readonly slots: CutterSlots;
  readonly damage: CutterDamage;
  /** Damage was marked: how far back it reaches comes next. */
  readonly onMarked: () => void;
  readonly onNext: () => void;
  readonly onOther: () => void;
}

/** The chosen cutter: its length, and what is wrong with it. */
export function CutterPanel({ side, cutter, slots, damage, onMarked, onNext, onOther }: CutterPanelProps) {
  const name = `${sentence(side)} ${cutter}`;
  const { entered } = useJob();
  const { topPlateAngleLeft, topPlateAngleRight } = entered.sheet.chain ?? {};
  const isAngled = (side === 'left' ? topPlateAngleLeft : topPlateAngleRight) !== undefined;
  const measured = slots.paths.length;
  const path = slots.paths[cutter - 1] ?? (cutter === measured + 1 ? slots.next : null);
  return (
    <section
      aria-label={texts.cutter(name)}
      className="grid grid-cols-[11rem_minmax(0,1fr)_10rem] items-start gap-x-5 gap-y-2 border-y-2 border-ink bg-sheet px-3 py-2 max-lg:grid-cols-2 max-md:grid-cols-1"
    >
      <div data-cutter-field="length">
        {path ? (
          <EntryField
            key={path}
            path={path}
            label={name}
            suffix="unit"
            hint={texts.numberAndEnterTheNext}
            onEnter={(accepted) => accepted && onNext()}
          />
        ) : (
          <div>
            <p className="text-sm font-semibold text-ink-soft">{name}</p>
            <p className="text-sm">{texts.notMeasuredYet(sideWord[side], measured + 1)}</p>
          </div>
        )}
        <button type="button" className="mt-1 quiet px-2 text-sm" onClick={onOther}>
          {texts.toTheSide(sideWord[side === 'left' ? 'right' : 'left'])}
        </button>
      </div>
      <div data-path={damage.path}>
        <Choice
          legend={texts.damageOn(sideWord[side], cutter)}
          options={choicesAt('chain.damage.0.kind')}
          value={damage.kind ?? ''}
          onChoose={(kind) => {
            const chosen = DAMAGE_KINDS.find((each) => each === kind);
            if (!chosen) return damage.clear();
            damage.mark(chosen);
            onMarked();
          }}
          hint={texts.everythingIsFiledBack}
        />
        {damage.index !== null && isAngled && damage.kind !== 'angle' && (
          <Field path={`chain.damage.${damage.index}.place`} />
        )}
      </div>
      {damage.index !== null && (
        <div data-cutter-field="set-back">
          <Field path={`chain.damage.${damage.index}.setBack`} onEnter={(accepted) => accepted && onNext()} />
        </div>
      )}
    </section>
  );
}
