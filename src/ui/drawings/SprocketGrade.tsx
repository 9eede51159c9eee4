interface SprocketGradeProps {
  readonly grade: 'none' | 'light' | 'deep';
}

/** How far the drive links have worn in, as drawn, in units of the picture. */
const WORN = { none: 0, light: 5, deep: 14 } as const;

/** A rim as one holds it to the light: two teeth with the grooves between, to compare by eye. */
export function SprocketGrade({ grade }: SprocketGradeProps) {
  const worn = WORN[grade];
  const tooth = (x: number) =>
    `M${x} 66 V22 Q${x} 12 ${x + 10} 12 H${x + 16} V${12 + worn} Q${x + 24} ${16 + 1.4 * worn} ${x + 32} ${12 + worn} V12 H${x + 38} Q${x + 48} 12 ${x + 48} 22 V66 Z`;
  return (
    <svg viewBox="0 0 130 72" width="94" height="52">
      <path d={`${tooth(8)} ${tooth(74)} M2 52 H128 V68 H2 Z`} className="fill-slate" />
      {worn > 0 && (
        <path
          d={`M24 ${12 + worn} Q32 ${16 + 1.4 * worn} 40 ${12 + worn} M90 ${12 + worn} Q98 ${16 + 1.4 * worn} 106 ${12 + worn}`}
          className="fill-none stroke-oxide"
          strokeWidth="3"
        />
      )}
    </svg>
  );
}
