/** A value made once for each key and kept as long as the key is: for what follows from data that never changes. */
export function oncePer<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const kept = new WeakMap<K, V>();
  return (key) => {
    const known = kept.get(key);
    if (known !== undefined) return known;
    const made = make(key);
    kept.set(key, made);
    return made;
  };
}
