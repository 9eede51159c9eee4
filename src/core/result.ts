/** An expected outcome that can fail: returned, never thrown. */
export type Result<T, E> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: E };

/** Wraps a success. */
export const ok = <T>(value: T): Result<T, never> => ({ ok: true, value });

/** Wraps an expected failure. */
export const err = <E>(error: E): Result<never, E> => ({ ok: false, error });

/** For the last branch of a union: a forgotten case does not compile, and throws if it is ever reached. */
export function never(missed: never): never {
  throw new Error(`Unhandled case: ${JSON.stringify(missed)}`);
}
