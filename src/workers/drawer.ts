import { expose } from 'comlink';
import type { DrawnDoubt } from '../core/doubt';
import { drawInSteps, type DrawRequest, type OnProgress } from './drawing-steps';

/** Draws away from the page. One drawing at a time: a new one stops the one before. */
class Drawer {
  private current = 0;

  draw(request: DrawRequest, onProgress: OnProgress): Promise<DrawnDoubt | null> {
    this.current += 1;
    const own = this.current;
    return drawInSteps(request, onProgress, () => own !== this.current);
  }

  stop(): void {
    this.current += 1;
  }
}

export type { Drawer };
expose(new Drawer());
