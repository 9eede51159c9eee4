/** After a look that failed it is looked again so much later, each time after twice as long, ms. */
const AGAIN_MS = 1000;
const LONGEST_MS = 30_000;

/**
 * Looks anew when told to, one look at a time: what is asked for meanwhile is answered by one more, so that however
 * often something changes each look is shown, and the last sees all. A look that fails is made again
 * where that may help.
 */
export class Looking {
  private isOwed = false;
  private isLooking = false;
  private hasEnded = false;
  private pause = AGAIN_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    /** Settles when what was seen is shown. */
    private readonly look: () => unknown,
    /** Whether looking again may help. */
    private readonly mayHelp: (error: unknown) => boolean,
  ) {}

  again(): void {
    this.isOwed = true;
    if (!this.isLooking) void this.go();
  }

  end(): void {
    this.hasEnded = true;
    clearTimeout(this.timer);
  }

  private async go(): Promise<void> {
    clearTimeout(this.timer);
    this.isLooking = true;
    while (this.isOwed && !this.hasEnded) {
      this.isOwed = false;
      try {
        await this.look();
        this.pause = AGAIN_MS;
      } catch (error) {
        if (this.mayHelp(error)) this.later();
      }
    }
    this.isLooking = false;
  }

  private later(): void {
    if (this.hasEnded) return;
    this.timer = setTimeout(() => this.again(), this.pause);
    this.pause = Math.min(2 * this.pause, LONGEST_MS);
  }
}
