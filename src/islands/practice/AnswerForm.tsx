import { useState, type ReactNode } from 'react';
import { FAMILY_IDS, GAUGE_IDS, type FamilyId, type GaugeId } from '../../core/families';
import {
  FAULT_IDS,
  faultOf,
  PRACTICE_PARTS,
  type ChainOrder,
  type FaultId,
  type PracticePart,
} from '../../core/practice';
import { ACTIONS, type Action } from '../../core/sheet';
import type { Cause } from '../../core/symptom';
import { Choice, ChooseMany } from '../../ui/parts/Choice';
import { Notice } from '../../ui/parts/Notice';
import { actionWord, AILMENTS, familyLabel, faultName, gaugeLabel, kickbackClassWord, partName } from '../../wording';
import { failure } from '../frame/api';
import { Labelled, Pick } from './fields';
import type { RoundHere } from './use-round';
import * as texts from '#language/screens/practice';

/** Steps in which somebody says how sure they are. */
const SURE = [0.5, 0.6, 0.7, 0.8, 0.9, 0.99];

/** What may bring a complaint about in practice: whatever its faults do. */
const CAUSES = [...new Set(FAULT_IDS.flatMap((id) => faultOf(id).cause ?? []))];

const faultsIn = (part: PracticePart | null): readonly FaultId[] => FAULT_IDS.filter((id) => faultOf(id).part === part);

/** What is said so far. */
export interface SaidSoFar {
  readonly actions: Readonly<Partial<Record<PracticePart, Action>>>;
  readonly sure: Readonly<Partial<Record<PracticePart, number>>>;
  readonly faults: readonly FaultId[];
  readonly causes: readonly Cause[];
  readonly belongs: boolean | null;
  readonly orders: boolean | null;
  readonly family: FamilyId | '';
  readonly gauge: GaugeId | '';
  readonly driveLinks: string;
  readonly kickback: ChainOrder['kickback'] | '';
}

export const NOTHING_SAID: SaidSoFar = {
  ...{ actions: {}, sure: {}, faults: [], causes: [], belongs: null, orders: null },
  ...{ family: '', gauge: '', driveLinks: '', kickback: '' },
};

/** The order as it was said; a sentence where it cannot be one yet. */
function orderFrom({ orders, family, gauge, driveLinks, kickback }: SaidSoFar): ChainOrder | null | string {
  if (orders === null) return texts.sayWhatToOrder;
  if (!orders) return null;
  if (family === '' || gauge === '' || kickback === '') return texts.sayWhatToOrder;
  const links = Number(driveLinks);
  if (!Number.isInteger(links) || links < 20 || links > 200) return texts.linksBetween;
  return { family, gauge, driveLinks: links, kickback };
}

/** What is still to be said; null where all is. */
function missing({ actions, sure, belongs }: SaidSoFar): string | null {
  const isSaid = (part: PracticePart) => actions[part] !== undefined && sure[part] !== undefined;
  if (!PRACTICE_PARTS.every(isSaid)) return texts.sayOfEach;
  return belongs === null ? texts.sayWhetherTheyBelong : null;
}

const yesNo = [
  { value: 'yes', label: texts.yes },
  { value: 'no', label: texts.no },
];
const word = (is: boolean | null): string => (is === null ? '' : is ? 'yes' : 'no');
const fromWord = (value: string): boolean | null => (value === '' ? null : value === 'yes');

interface AnswerFormProps {
  readonly round: RoundHere;
  /** Kept by whoever shows it: one reads on in the middle of an answer. */
  readonly said: SaidSoFar;
  readonly onSay: (said: SaidSoFar) => void;
}

/** What is right to do with each part, what is wrong, and what must be ordered. */
export function AnswerForm({ round, said, onSay }: AnswerFormProps) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const put = (change: Partial<SaidSoFar>) => onSay({ ...said, ...change });
  const send = async () => {
    const order = orderFrom(said);
    const lacks = missing(said) ?? (typeof order === 'string' ? order : null);
    setTrouble(lacks);
    if (lacks !== null || typeof order === 'string') return;
    const { faults, causes, belongs } = said;
    const parts = Object.fromEntries(
      PRACTICE_PARTS.map((part) => [part, { action: said.actions[part]!, sure: said.sure[part]! }]),
    ) as Record<PracticePart, { action: Action; sure: number }>;
    await round
      .answer({ parts, faults: [...faults], causes: [...causes], belongs: belongs!, order })
      .catch((error: unknown) => setTrouble(failure(error, texts.notAnswered)));
  };
  return (
    <form
      className="grid gap-5 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <Section title={texts.whatIsRight}>
        {PRACTICE_PARTS.map((part) => (
          <div key={part} className="grid grid-cols-2 gap-x-6 gap-y-2 border-t border-line py-2 max-lg:grid-cols-1">
            <Choice
              legend={partName[part]}
              options={ACTIONS.map((value) => ({ value, label: actionWord[value] }))}
              value={said.actions[part] ?? ''}
              onChoose={(value) => put({ actions: { ...said.actions, [part]: value || undefined } })}
            />
            <Choice
              legend={texts.howSure(partName[part])}
              options={SURE.map((share) => ({ value: String(share), label: texts.surePercent(share) }))}
              value={String(said.sure[part] ?? '')}
              onChoose={(value) => put({ sure: { ...said.sure, [part]: value === '' ? undefined : Number(value) } })}
            />
          </div>
        ))}
      </Section>
      <Section title={texts.whatIsWrong}>
        {[...PRACTICE_PARTS, null].map((part) => (
          <Faults key={part} part={part} said={said.faults} onChange={(faults) => put({ faults })} />
        ))}
      </Section>
      {round.view.complaint !== null && (
        <ChooseMany
          legend={texts.whatBringsIt}
          options={CAUSES.map((value) => ({ value, label: AILMENTS[value].name }))}
          values={said.causes}
          onChange={(causes) => put({ causes: causes as Cause[] })}
        />
      )}
      <Choice
        legend={texts.belong}
        options={yesNo}
        value={word(said.belongs)}
        onChoose={(value) => put({ belongs: fromWord(value) })}
      />
      <div className="grid gap-2">
        <Choice
          legend={texts.order}
          options={yesNo}
          value={word(said.orders)}
          onChoose={(value) => put({ orders: fromWord(value) })}
        />
        {said.orders && <OrderFields said={said} put={put} />}
      </div>
      {trouble !== null && <Notice kind="error">{trouble}</Notice>}
      <div className="flex flex-wrap items-center gap-3">
        <button type="submit" className="act">
          {texts.giveTheAnswer}
        </button>
        <p className="text-sm text-ink-soft">{texts.answerFirst}</p>
      </div>
    </form>
  );
}

function Section({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title} className="grid gap-2">
      <h2 className="text-lg font-extrabold">{title}</h2>
      {children}
    </section>
  );
}

interface FaultsProps {
  readonly part: PracticePart | null;
  readonly said: readonly FaultId[];
  readonly onChange: (faults: readonly FaultId[]) => void;
}

function Faults({ part, said, onChange }: FaultsProps) {
  const own = faultsIn(part);
  return (
    <ChooseMany
      legend={part === null ? texts.faultsOfTheSet : texts.faultsOf(partName[part])}
      options={own.map((value) => ({ value, label: faultName[value] }))}
      values={said.filter((id) => own.includes(id))}
      onChange={(next) => onChange([...said.filter((id) => !own.includes(id)), ...(next as FaultId[])])}
    />
  );
}

const UNCHOSEN = { id: '', name: texts.choose } as const;
const KICKBACK_CLASSES = ['low-kickback', 'standard'] as const;

function OrderFields({ said, put }: { readonly said: SaidSoFar; readonly put: (change: Partial<SaidSoFar>) => void }) {
  return (
    <div className="grid grid-cols-4 gap-3 max-lg:grid-cols-2 max-md:grid-cols-1">
      <Pick
        label={texts.pitch}
        value={said.family}
        options={[UNCHOSEN, ...FAMILY_IDS.map((id) => ({ id, name: familyLabel(id) }))]}
        onPick={(family) => put({ family })}
      />
      <Pick
        label={texts.gauge}
        value={said.gauge}
        options={[UNCHOSEN, ...GAUGE_IDS.map((id) => ({ id, name: gaugeLabel(id) }))]}
        onPick={(gauge) => put({ gauge })}
      />
      <Labelled label={texts.driveLinks}>
        {(id) => (
          <input
            id={id}
            className="entry w-full figures"
            inputMode="numeric"
            autoComplete="off"
            value={said.driveLinks}
            onChange={({ target }) => put({ driveLinks: target.value })}
          />
        )}
      </Labelled>
      <Pick
        label={texts.kickback}
        value={said.kickback}
        options={[UNCHOSEN, ...KICKBACK_CLASSES.map((id) => ({ id, name: kickbackClassWord[id] }))]}
        onPick={(kickback) => put({ kickback })}
      />
    </div>
  );
}
