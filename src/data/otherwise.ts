/** The same thing, with some of its acts done otherwise. */
export function otherwise<T extends object>(of: T, acts: Readonly<Partial<Record<keyof T, unknown>>>): T {
  return new Proxy(of, {
    get: (target, name) => {
      const own = acts[name as keyof T] ?? (Reflect.get(target, name, target) as unknown);
      return typeof own === 'function' ? (own as (...args: unknown[]) => unknown).bind(target) : own;
    },
  });
}
