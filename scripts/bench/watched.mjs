// Drawn in before a server that is measured: watches how long its main thread answers nobody, and tells when asked.
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

/** How often it is looked whether the thread answers, ms. */
const EVERY_MS = 2;

if (isMainThread && process.send) {
  const watch = monitorEventLoopDelay({ resolution: EVERY_MS });
  watch.enable();
  process.on('message', () => {
    process.send({ longestMs: watch.max / 1e6 });
    watch.reset();
  });
  process.channel.unref();
}
