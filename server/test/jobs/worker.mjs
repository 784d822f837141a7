/** Jobs that tests can hold against a pool's limits. */
const JOBS = {
  twice: (n) => 2 * n,
  forEver: () => {
    for (;;);
  },
  eat: () => {
    const eaten = [];
    for (;;) eaten.push(Array.from({ length: 100_000 }, (_, i) => `${i} ${eaten.length}`));
  },
  // how many do this at once, at most
  atOnce: async (shared) => {
    const [running, most] = [0, 1];
    const now = Atomics.add(shared, running, 1) + 1;
    if (now > Atomics.load(shared, most)) Atomics.store(shared, most, now);
    await new Promise((later) => setTimeout(later, 300));
    Atomics.sub(shared, running, 1);
  },
};

export default async ({ name, input }) =>
  name === 'refuse' ? { refused: input } : { done: await JOBS[name](input) };
