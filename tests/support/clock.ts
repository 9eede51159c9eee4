/** A clock that goes on by a second at every look. */
export class TestClock {
  constructor(public ticks: number) {}

  readonly now = (): Date => new Date(Date.UTC(2026, 10, 23, 9, 0, (this.ticks += 1)));
}
