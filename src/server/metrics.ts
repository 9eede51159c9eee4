import { collectDefaultMetrics, Histogram, Registry } from 'prom-client';
import type { Answered } from './log';

const registry = new Registry();
collectDefaultMetrics({ register: registry, prefix: 'serrata_' });

const answers = new Histogram({
  name: 'serrata_request_seconds',
  help: 'Requests by the pattern of their address, with how long each took.',
  labelNames: ['method', 'route', 'status'] as const,
  buckets: [0.005, 0.02, 0.1, 0.5, 2],
  registers: [registry],
});

/** Counts a request. */
export const answeredCount = ({ method, route, status, ms }: Answered): void =>
  answers.observe({ method, route, status: String(status) }, ms / 1000);

/** Everything that is counted, in the open text format of metrics. */
export const metricsText = async (): Promise<{ readonly text: string; readonly type: string }> => ({
  text: await registry.metrics(),
  type: registry.contentType,
});
