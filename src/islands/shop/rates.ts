import type { LimitId } from '../../core/limits';

/** Whether a limit is one of the rates and lives that plans are reckoned with, which have a list of their own. */
export const isRate = (id: LimitId): boolean => id.startsWith('plan.') || id.startsWith('life.');
