/** What the readings of a chain mean. */
export * from './chain';
export { FEW_BURRED_TANGS } from './under';
export type { GaugeJudgement } from './gauges';
export type { Stretch } from './stretch';
