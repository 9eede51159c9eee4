import { FAMILIES, FAMILY_IDS } from '../../../core/families';
import { MAX_STRETCH, readStamp, rivetsFor, type Identified } from '../../../core/identify';
import { PitchScale } from '../../../ui/drawings/PitchScale';
import { familyLabel, gaugeLabel, identityReason, list, stampMeaning } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { Group, StepHead } from '../parts/StepHead';
import { OPTIONS } from '../options';
import { useJob } from '../store/JobContext';
import { useField } from '../store/useField';

/** A pitch known to this standard uncertainty, mm, separates the families even when one is stretched. */
const WANTED_PITCH_U = 0.03;

/** Candidates lighter than this are not worth a place on the card. */
const SHOWN_WEIGHT = 0.01;

/** Identify: the three numbers of the loop, each with the evidence that settles it. */
export function Identify() {
  const { appraisal } = useJob();
  const { pitch, gauge, driveLinks } = appraisal.identity.chain;
  return (
    <>
      <StepHead title="Identify the loop">
        <p className="text-sm text-ink-soft">Three numbers order a chain. A bar’s length does not.</p>
      </StepHead>
      <div className="mb-3 grid grid-cols-3 gap-3">
        <NumberCard title="Pitch" property={pitch} write={familyLabel} />
        <NumberCard title="Gauge" property={gauge} write={gaugeLabel} />
        <NumberCard title="Drive links" property={driveLinks} write={String} />
      </div>
      <Stamps />
      <Span />
      <div className="grid grid-cols-2 gap-x-6">
        <LinkThickness />
        <Links />
      </div>
    </>
  );
}

const STATUS = {
  settled: { word: 'settled', look: 'border-leaf bg-leaf-pale', tone: 'text-leaf' },
  open: { word: 'open', look: 'border-steel bg-steel-pale', tone: 'text-steel' },
  conflict: { word: 'contradicted', look: 'border-oxide bg-oxide-pale', tone: 'text-oxide' },
} as const;

/** One of the three numbers: its value or its candidates, and why. */
function NumberCard<T extends string | number>({
  title,
  property,
  write,
}: {
  title: string;
  property: Identified<T>;
  write: (value: T) => string;
}) {
  const { unit } = useFrame();
  const { word, look, tone } = STATUS[property.status];
  const open = property.candidates
    .filter(({ weight }) => weight >= SHOWN_WEIGHT)
    .slice(0, 3)
    .map(({ value, weight }) => `${write(value)} ${Math.round(weight * 100)} %`);
  const said = property.why.map((reason) => identityReason(reason, unit));
  return (
    <section aria-label={`${title}: ${word}`} className={`border-t-4 px-3 py-2 ${look}`}>
      <p className="flex justify-between text-sm">
        <span className="font-semibold">{title} of the chain</span>
        <span className={`font-bold ${tone}`}>{word}</span>
      </p>
      <p className="figures text-[22px] leading-snug font-bold">
        {property.value === null ? (open.length > 0 ? '?' : '–') : write(property.value)}
      </p>
      {property.value === null && open.length > 0 && <p className="figures text-sm">{open.join(' · ')}</p>}
      <p className="line-clamp-3 text-sm" title={said.join(' ')}>
        {said.join(' ')}
      </p>
    </section>
  );
}

function Stamps() {
  return (
    <Group title="Stamps, as read" aside="near the bar’s tail, on the drive link">
      <div className="grid grid-cols-2 gap-x-6">
        <Stamp path="bar.stamp" label="On the bar" placeholder="18 in 325 .050 1.3 72DL" />
        <Stamp path="chain.stamp" label="On the chain" placeholder="3/8LP .050" />
      </div>
    </Group>
  );
}

/** A stamp, and under it each piece with what it may mean. */
function Stamp({ path, label, placeholder }: { path: string; label: string; placeholder: string }) {
  const { text } = useField(path);
  const { tokens } = readStamp(text);
  return (
    <div>
      <EntryField path={path} label={label} placeholder={placeholder} wide />
      <ul className="flex flex-wrap gap-1" aria-label={`${label}, taken apart`}>
        {tokens.map(({ text: piece, start, meanings }) => (
          <li
            key={start}
            className={`border px-1.5 py-0.5 text-sm ${meanings.length === 1 ? 'border-line-strong bg-sheet' : meanings.length === 0 ? 'border-dashed border-oxide' : 'border-dashed border-steel bg-steel-pale'}`}
          >
            <span className="figures font-bold">{piece}</span>{' '}
            <span>{meanings.length === 0 ? 'not read' : list(meanings.map(stampMeaning), 'or')}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Span() {
  const { appraisal } = useJob();
  const { figure, show, unit } = useFrame();
  const { candidates, why } = appraisal.identity.chain.pitch;
  const span = why.find((reason) => reason.code === 'span') ?? why.find((reason) => reason.code === 'span-fits-none');
  const bands = FAMILY_IDS.map((id) => {
    const { unworn, label } = FAMILIES[id];
    return {
      label,
      lo: unworn[0],
      hi: unworn[1],
      stretched: unworn[1] * (1 + MAX_STRETCH),
      weight: candidates.find(({ value }) => value === id)?.weight ?? 0,
    };
  });
  const doubt = span?.code === 'span' ? 2 * span.u : 0;
  const enough = span?.code !== 'span' || span.u <= WANTED_PITCH_U;
  return (
    <Group title="Span over rivets" aside="the chain pulled straight, centre of the first rivet to centre of the last">
      <div className="grid grid-cols-[19rem_minmax(0,1fr)] gap-5 max-lg:grid-cols-1">
        <div>
          <div className="grid grid-cols-[6rem_1fr] gap-3">
            <EntryField path="chain.span.rivets" label="Rivets" placeholder="3" />
            <EntryField path="chain.span.length" label="Length" suffix="unit" />
          </div>
          {!enough && (
            <p className="text-sm font-semibold text-steel">
              Known to ± {show(doubt)}. Span {rivetsFor(span.u * (span.rivets - 1), WANTED_PITCH_U)} rivets for ±{' '}
              {show(2 * WANTED_PITCH_U)}: the hand’s slip is shared among more pitches.
            </p>
          )}
          <ChoiceField
            path="chain.chassis"
            legend="Build beside a known chain"
            options={OPTIONS.chassis}
            hint="3/8 low profile is small, 3/8 standard large. They never interchange."
          />
        </div>
        <PitchScale
          bands={bands}
          reading={span ? { pitch: span.pitch, doubt } : null}
          show={(mm) => figure(mm, unit === 'mm' ? 2 : 3)}
        />
      </div>
    </Group>
  );
}

function LinkThickness() {
  return (
    <Group title="Drive-link thickness" aside="caliper, or slots">
      <EntryField
        path="chain.driveLinkThickness"
        label="Thickness"
        suffix="unit"
        hint="Caliper on a clean link, or slots as: enters .050, refuses .043"
        wide
      />
      <ChoiceField path="chain.kickbackClass" legend="Class of the chain" options={OPTIONS.kickback} />
    </Group>
  );
}

/** Two counts, and one more for every pair that differs. */
function Links() {
  const { entered, snapshot } = useJob();
  const counts = entered.sheet.chain?.driveLinks ?? [];
  const touched = [...snapshot.standing.values(), ...snapshot.drafts.values()].filter(
    ({ path, text }) => path.startsWith('chain.driveLinks.') && text !== '',
  ).length;
  const unequal = counts.length >= 2 && new Set(counts).size === counts.length;
  const fields = Math.max(2, touched + (unequal ? 1 : 0));
  return (
    <Group title="Drive links" aside="count twice, even when stamped">
      <div className="grid grid-cols-3 gap-3">
        {Array.from({ length: fields }, (_, i) => (
          <EntryField key={i} path={`chain.driveLinks.${i}`} label={i === 0 ? 'Count' : 'Count again'} />
        ))}
        <EntryField path="chain.cutters" label="Cutters" />
      </div>
      <ChoiceField path="chain.sequence" legend="Sequence" options={OPTIONS.sequence} />
    </Group>
  );
}
