/** All of a list that comes by pages. */
export async function everyPage<Page extends { next: string | null }, Item>(
  ask: (after: string | undefined) => Promise<Page>,
  itemsOf: (page: Page) => Item[],
): Promise<Item[]> {
  const all: Item[] = [];
  for (let after: string | undefined; ;) {
    const page = await ask(after);
    all.push(...itemsOf(page));
    if (page.next === null) return all;
    after = page.next;
  }
}
