import type { ReadingPath } from '../../../core/sheet';
import { codeOf, readStamp } from '../../../core/identify';
import { list, stampMeaning } from '../../../wording';
import { Field } from '../parts/Field';
import { EntryField } from '../parts/EntryField';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { useField } from '../store/useField';
import * as texts from '#language/screens/job-identify';

/** What is punched on the parts, as read. */
export function MarksView() {
  const { entered } = useJob();
  const hard = entered.sheet.bar?.nose === 'hard';
  return (
    <>
      <Group title={texts.barAndChain} aside={texts.nearTheBarsTail}>
        <div className="grid grid-cols-2 gap-x-6">
          <Stamp path="bar.stamp" label={texts.onTheBar} placeholder={texts.barMarkExample} />
          <Stamp path="chain.stamp" label={texts.onTheChain} placeholder={texts.chainMarkExample} />
        </div>
      </Group>
      <div className="grid grid-cols-2 gap-x-6">
        <Group title={texts.driveSprocket}>
          <div className="grid grid-cols-[minmax(0,1fr)_7rem] gap-3">
            <Stamp path="driveSprocket.stamp" label={texts.punchedOnIt} placeholder="325-7" />
            <Field path="driveSprocket.teeth" />
          </div>
          <Field path="driveSprocket.pitch" />
        </Group>
        <Group title={texts.nose} aside={texts.pitchMustAgree}>
          {hard ? (
            <p className="text-ink-soft">{texts.aHardNoseHasNo}</p>
          ) : (
            <div className="grid gap-2">
              <Field path="bar.noseTeeth" />
              <Field path="bar.nosePitch" />
            </div>
          )}
        </Group>
      </div>
    </>
  );
}

const look = (certain: boolean, read: boolean): string => {
  if (!read) return 'border-dashed border-oxide';
  return certain ? 'border-line-strong bg-sheet' : 'border-dashed border-steel bg-steel-pale';
};

/** A stamp, and under it each piece with what it may mean; codes the shop has learned come first. */
function Stamp({ path, label, placeholder }: { path: ReadingPath; label: string; placeholder: string }) {
  const { text } = useField(path);
  const { view } = useJob();
  const { tokens } = readStamp(text);
  return (
    <div>
      <EntryField path={path} label={label} placeholder={placeholder} wide />
      <ul className="flex flex-wrap gap-1" aria-label={texts.takenApart(label)}>
        {tokens.map(({ text: piece, start, meanings }) => {
          const code = path === 'chain.stamp' ? codeOf(piece, view.codes) : null;
          const read = code !== null || meanings.length > 0;
          return (
            <li
              key={start}
              className={`border px-1.5 py-0.5 text-sm ${look(code !== null || meanings.length === 1, read)}`}
            >
              <span className="figures font-bold">{piece}</span>{' '}
              <span>{code ? texts.codeOfThisShop : read ? list(meanings.map(stampMeaning), 'or') : texts.notRead}</span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
