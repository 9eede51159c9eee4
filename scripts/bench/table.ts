/** One thing measured, with its budget in the same unit; none where it is only told, for comparison. */
export interface Measured {
  readonly what: string;
  readonly value: number;
  readonly budget: number;
  readonly unit: string;
}

/** The p-th quantile of some samples, 0…1. */
export function quantile(samples: readonly number[], p: number): number {
  const sorted = [...samples].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))] ?? NaN;
}

/** Lines the measurements up, budget and ratio beside them: below 1 is within budget. */
export function table(rows: readonly Measured[]): string {
  const cells = [
    ['measured', 'value', 'budget', 'ratio'],
    ...rows.map(({ what, value, budget, unit }) => [
      what,
      `${value.toFixed(2)} ${unit}`,
      Number.isNaN(budget) ? '' : `${Number(budget.toFixed(1))} ${unit}`,
      Number.isNaN(budget) ? '' : (value / budget).toFixed(2),
    ]),
  ];
  const widths = [0, 1, 2, 3].map((column) => Math.max(...cells.map((row) => row[column]!.length)));
  return cells
    .map((row) => row.map((cell, i) => (i === 0 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!))).join('  '))
    .join('\n');
}
