import type { ReadingPath } from '../../../core/sheet';
import { codeOf, readStamp } from '../../../core/identify';
import { list, stampMeaning } from '../../../wording';
import { Field } from '../parts/Field';
import { EntryField } from '../parts/EntryField';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { useField } from '../store/useField';

/** What is punched on the parts, as read. */
export function MarksView() {
  const { entered } = useJob();
  const hard = entered.sheet.bar?.nose === 'hard';
  return (
    <>
      <Group title="Bar and chain" aside="near the bar’s tail; on the drive link or cutter">
        <div className="grid grid-cols-2 gap-x-6">
          <Stamp path="bar.stamp" label="On the bar" placeholder="18 in 325 .050 1.3 72DL" />
          <Stamp path="chain.stamp" label="On the chain" placeholder="3/8LP .050, or a code" />
        </div>
      </Group>
      <div className="grid grid-cols-2 gap-x-6">
        <Group title="Drive sprocket">
          <div className="grid grid-cols-[minmax(0,1fr)_7rem] gap-3">
            <Stamp path="driveSprocket.stamp" label="Punched on it" placeholder="325-7" />
            <Field path="driveSprocket.teeth" />
          </div>
          <Field path="driveSprocket.pitch" />
        </Group>
        <Group title="Nose" aside="pitch must agree on all three wheels">
          {hard ? (
            <p className="text-ink-soft">A hard nose has no sprocket and no pitch of its own.</p>
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
      <ul className="flex flex-wrap gap-1" aria-label={`${label}, taken apart`}>
        {tokens.map(({ text: piece, start, meanings }) => {
          const code = path === 'chain.stamp' ? codeOf(piece, view.codes) : null;
          const read = code !== null || meanings.length > 0;
          return (
            <li
              key={start}
              className={`border px-1.5 py-0.5 text-sm ${look(code !== null || meanings.length === 1, read)}`}
            >
              <span className="figures font-bold">{piece}</span>{' '}
              <span>{code ? 'code of this shop' : read ? list(meanings.map(stampMeaning), 'or') : 'not read'}</span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
