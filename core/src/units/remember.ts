/**
 * Remembers a derivation by the identity of its subject, for as long as the other parts it reads stay the same objects.
 * Documents are never changed in place, so the same object is the same content.
 */
export function remember<K extends object, P extends readonly unknown[], T>(
  derive: (subject: K, ...parts: P) => T,
): (subject: K, ...parts: P) => T {
  const known = new WeakMap<K, { parts: P; value: T }>();
  return (subject, ...parts) => {
    const before = known.get(subject);
    if (before?.parts.every((part, i) => part === parts[i])) return before.value;
    const value = derive(subject, ...parts);
    known.set(subject, { parts, value });
    return value;
  };
}

/**
 * Remembers the answers to the last `most` questions that differ, by a key that says all of a question; what was asked
 * longest ago is forgotten first.
 */
export function rememberLast<Q extends readonly unknown[], T>(
  most: number,
  keyOf: (...question: Q) => string,
  answer: (...question: Q) => T,
): (...question: Q) => T {
  const known = new Map<string, { readonly value: T }>();
  return (...question) => {
    const key = keyOf(...question);
    const found = known.get(key) ?? { value: answer(...question) };
    const isNew = !known.delete(key);
    known.set(key, found);
    if (isNew && known.size > most) known.delete(known.keys().next().value ?? key);
    return found.value;
  };
}

/** Worked out when it is first asked for. */
export function lazy<T>(make: () => T): () => T {
  let known: { readonly value: T } | null = null;
  return () => (known ??= { value: make() }).value;
}

const numbers = new WeakMap<object, number>();
let last = 0;
/** A number for each object there is: the part of a key that stands for an object which is never changed in place. */
export function numberOf(subject: object): number {
  const known = numbers.get(subject);
  if (known !== undefined) return known;
  numbers.set(subject, ++last);
  return last;
}
