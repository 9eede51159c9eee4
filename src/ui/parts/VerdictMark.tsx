/** The shapes that stand for verdicts, so that no verdict is told by colour alone. */
export type VerdictShape = 'keep' | 'clean' | 'recondition' | 'replace' | 'undecided';

const TONE: Record<VerdictShape, string> = {
  keep: 'text-leaf',
  clean: 'text-brass',
  recondition: 'text-brass',
  replace: 'text-oxide',
  undecided: 'text-steel',
};

const PALE: Record<VerdictShape, string> = {
  keep: 'bg-leaf-pale',
  clean: 'bg-brass-pale',
  recondition: 'bg-brass-pale',
  replace: 'bg-oxide-pale',
  undecided: 'bg-steel-pale',
};

/** Text colour of a verdict. */
export const verdictTone = (verdict: VerdictShape): string => TONE[verdict];
/** Ground colour of a verdict. */
export const verdictGround = (verdict: VerdictShape): string => PALE[verdict];

/**
 * keep: full disc · clean: disc with a sweep · recondition: file tooth · replace: struck square · undecided: open
 * lozenge.
 */
export function VerdictMark({ verdict, size = 18 }: { verdict: VerdictShape; size?: number }) {
  return (
    <svg viewBox="0 0 20 20" width={size} height={size} aria-hidden="true" className={`shrink-0 ${TONE[verdict]}`}>
      {verdict === 'keep' && <circle cx="10" cy="10" r="7.5" fill="currentColor" />}
      {verdict === 'clean' && (
        <g fill="none" stroke="currentColor" strokeWidth="2.4">
          <circle cx="10" cy="10" r="7.3" />
          <path d="M5 11.5 Q8 7.5 10 10.5 T15 9.5" />
        </g>
      )}
      {verdict === 'recondition' && <path d="M2 17 V9 L7 4 V9 L12 4 V9 L17.5 4 V17 Z" fill="currentColor" />}
      {verdict === 'replace' && (
        <g fill="none" stroke="currentColor" strokeWidth="2.6">
          <rect x="2.5" y="2.5" width="15" height="15" />
          <path d="M3 17 L17 3" />
        </g>
      )}
      {verdict === 'undecided' && (
        <path d="M10 1.5 L18.5 10 L10 18.5 L1.5 10 Z" fill="none" stroke="currentColor" strokeWidth="2.4" />
      )}
    </svg>
  );
}

/** Mark and word on the verdict's own ground. */
export function VerdictChip({
  verdict,
  word,
  large = false,
}: {
  verdict: VerdictShape;
  word: string;
  large?: boolean;
}) {
  return (
    <span
      className={`inline-flex items-center gap-1.5 rounded-[3px] font-bold ${PALE[verdict]} ${TONE[verdict]} ${large ? 'px-2.5 py-1 text-lg' : 'px-1.5 py-0.5 text-sm'}`}
    >
      <VerdictMark verdict={verdict} size={large ? 20 : 14} />
      {word}
    </span>
  );
}
