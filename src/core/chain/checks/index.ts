/** What the readings of a chain mean. */
export * from './chain';
export type { GaugeJudgement } from './gauges';
export type { Stretch } from './stretch';
