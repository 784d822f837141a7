/** A place that is sized, as it is called. */
interface Named {
  id: string;
  label: string;
}

/** Which place of its feature it is, by the end of its id. */
const WHERE: readonly [string, string][] = [
  ['.crest', 'crown'],
  ['.bottom', 'bottom'],
  ['.end', 'end'],
  ['start', 'beginning'],
];

/**
 * Places by names that no two of them share: what is called alike says which place of its feature it is, and what is still
 * alike is counted from the first.
 * @param places in the order in which they are counted
 */
export function toldApart<P extends Named>(places: readonly P[]): P[] {
  const said = alike(places.map((p) => p.label));
  const placed = places.map((place) => {
    const where = said(place.label) ? WHERE.find(([end]) => place.id.endsWith(end))?.[1] : undefined;
    return where === undefined ? place.label : `${place.label}, ${where}`;
  });
  const again = alike(placed);
  const taken = new Set(placed.filter((label) => !again(label)));
  return places.map((place, i) => {
    const label = placed[i] ?? place.label;
    return again(label) ? { ...place, label: numbered(label, taken) } : { ...place, label };
  });
}

/** The next number under which nothing is called so yet. */
function numbered(label: string, taken: Set<string>): string {
  let n = 1;
  while (taken.has(`${label} ${n}`)) n++;
  taken.add(`${label} ${n}`);
  return `${label} ${n}`;
}

/** Whether a name is there more than once. */
function alike(names: readonly string[]): (name: string) => boolean {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  return (name) => (counts.get(name) ?? 0) > 1;
}
