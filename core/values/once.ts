/** The value made from an object, such as a model or a list of a plan: computed once for each, and kept as long as it lives.
 * @param make Always results in the same for one object, which nobody changes. */
export function onceFor<K extends object, V>(make: (of: K) => V): (of: K) => V {
  const made = new WeakMap<K, { value: V }>();
  return (of) => {
    let kept = made.get(of);
    if (!kept) {
      kept = { value: make(of) };
      made.set(of, kept);
    }
    return kept.value;
  };
}
