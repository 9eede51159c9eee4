/** How stated probabilities meet what was true, by tenths. */
export interface Tenth {
  count: number;
  stated: number;
  good: number;
}

/** Truth against verdict over many simulated parts. */
export class Tally {
  readonly counts = { good: 0, bad: 0, falseKeep: 0, falseCondemned: 0, undecided: 0, condemned: 0, filed: 0 };
  readonly tenths: readonly Tenth[] = Array.from({ length: 10 }, () => ({ count: 0, stated: 0, good: 0 }));

  /** Counts one part: whether it was good, what was said of it, and with what probability of being good. */
  take(isGood: boolean, action: string, probability: number | null = null): void {
    const { counts } = this;
    counts[isGood ? 'good' : 'bad'] += 1;
    if (action === 'undecided') counts.undecided += 1;
    if (action === 'replace') counts.condemned += 1;
    if (action === 'recondition') counts.filed += 1;
    if (action === 'replace' && isGood) counts.falseCondemned += 1;
    if (action !== 'replace' && action !== 'undecided' && !isGood) counts.falseKeep += 1;
    if (probability === null) return;
    const tenth = this.tenths[Math.min(9, Math.floor(probability * 10))]!;
    tenth.count += 1;
    tenth.stated += probability;
    tenth.good += Number(isGood);
  }

  get all(): number {
    return this.counts.good + this.counts.bad;
  }

  /** Share of all parts, or of the good or the bad ones. */
  share(what: keyof Tally['counts'], of: 'all' | 'good' | 'bad' = 'all'): number {
    const whole = of === 'all' ? this.all : this.counts[of];
    return whole === 0 ? 0 : this.counts[what] / whole;
  }

  /** How far stated and true shares lie apart, weighed by how many parts each tenth holds. */
  get miscalibration(): number {
    const whole = this.tenths.reduce((sum, { count }) => sum + count, 0);
    return this.tenths.reduce((sum, { stated, good }) => sum + Math.abs(stated - good), 0) / Math.max(1, whole);
  }

  /** The tenths as `stated:true(count)`, in percent. */
  get curve(): string {
    return this.tenths
      .map(({ count, stated, good }) =>
        count === 0 ? '–' : `${((100 * stated) / count).toFixed(0)}:${((100 * good) / count).toFixed(0)}(${count})`,
      )
      .join(' ');
  }
}
