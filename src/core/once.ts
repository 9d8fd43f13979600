/** Values made once for each name; past `most` of them it begins anew, so that a long look around fills no memory. */
export function onceByName<V>(most = Infinity): (name: string, make: () => V) => V {
  const kept = new Map<string, V>();
  return (name, make) => {
    const known = kept.get(name);
    if (known !== undefined) return known;
    const made = make();
    if (kept.size >= most) kept.clear();
    kept.set(name, made);
    return made;
  };
}

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

/** What takes its time and may not be asked for: made when it first is. */
export function once<V>(make: () => V): () => V {
  let made: { value: V } | null = null;
  return () => (made ??= { value: make() }).value;
}
