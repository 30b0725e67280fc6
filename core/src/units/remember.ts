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
