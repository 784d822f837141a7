/** Numbers from 0 to 1 that are the same for the same seed (mulberry32 over FNV-1a). */
export function dice(seed: string): () => number {
  let a = 0x811c9dc5;
  for (const c of seed) a = Math.imul(a ^ c.charCodeAt(0), 0x01000193);
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
