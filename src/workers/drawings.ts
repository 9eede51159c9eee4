import { proxy, wrap, type Remote } from 'comlink';
import type { DrawnDoubt } from '../core/doubt';
import type { Drawer } from './drawer';
import { drawInSteps, type DrawRequest, type OnProgress } from './drawing-steps';

export type { DrawRequest };

/**
 * Draws, one request at a time: the answer of a request that was stopped or followed by another is null, however late
 * it comes.
 */
export class Drawings {
  private current = 0;
  private remote: Remote<Drawer> | null = null;
  private worker: Worker | null = null;

  /** In a worker; in the page, in short goes, where there are none. */
  async draw(request: DrawRequest, onProgress: OnProgress): Promise<DrawnDoubt | null> {
    this.current += 1;
    const own = this.current;
    const isStale = () => own !== this.current;
    const told: OnProgress = (share) => {
      if (!isStale()) onProgress(share);
    };
    const drawer = this.drawer();
    const drawn = drawer ? await drawer.draw(request, proxy(told)) : await drawInSteps(request, told, isStale);
    return isStale() ? null : drawn;
  }

  /** Stops what is being drawn. */
  stop(): void {
    this.current += 1;
    void this.remote?.stop();
  }

  end(): void {
    this.current += 1;
    this.worker?.terminate();
    this.worker = null;
    this.remote = null;
  }

  private drawer(): Remote<Drawer> | null {
    if (typeof Worker === 'undefined') return null;
    if (!this.remote) {
      this.worker = new Worker(new URL('./drawer.ts', import.meta.url), { type: 'module', name: 'doubt' });
      this.remote = wrap<Drawer>(this.worker);
    }
    return this.remote;
  }
}
