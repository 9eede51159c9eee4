interface InkDrawingProps {
  readonly label: string;
  readonly width: number;
  readonly height: number;
  /** What is black, from its upper left corner, y up, about the middle. */
  readonly ink: readonly { readonly x: number; readonly y: number; readonly width: number; readonly height: number }[];
}

/** Something printed, in black on white, about its middle. */
export function InkDrawing({ label, width, height, ink }: InkDrawingProps) {
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
      className="w-full border border-line-strong bg-white"
    >
      {ink.map((each, i) => (
        <rect key={i} x={each.x} y={-each.y} width={each.width} height={each.height} fill="#000" />
      ))}
    </svg>
  );
}
