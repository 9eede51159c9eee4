/**
 * Repair plans: every way to bring a set back that breaks no rule, what each costs today and per running hour, and
 * which are worth choosing between.
 */
export * from './choices';
export * from './cost';
export * from './lives';
export * from './shelf';
export * from './wanted';
export * from './picks';
export * from './asked';
export * from './order-parts';
export * from './plan';
export * from './choosing';
export * from './shown';
