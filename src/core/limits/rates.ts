/** Whether a limit is a rate or a life: what plans are reckoned with, and no part is judged by. */
export const isRate = (id: string): boolean => id.startsWith('plan.') || id.startsWith('life.');
