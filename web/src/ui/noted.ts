import { useSearchParams } from 'react-router';

/** What was noted at the lathe and is to be made something of: its words, where it was noted, what it is about. */
export interface Noted {
  words: string;
  /** piece and step, as they are called */
  where: string;
  /** the step or the element that it was noted at */
  about: string;
}

const WORDS = 'noted';
const WHERE = 'where';
const ABOUT = 'about';
/** What a note puts into an address. */
export const NOTE: readonly string[] = [WORDS, WHERE, ABOUT];

/** The address of a screen that is opened with a note in hand. */
export function withNote(path: string, { words, where, about }: Noted): string {
  return `${path}?${new URLSearchParams({ [WORDS]: words, [WHERE]: where, [ABOUT]: about }).toString()}`;
}

/** What a screen was opened to look at: a step or an element; null when nothing is named. */
export function useAbout(): string | null {
  const [search] = useSearchParams();
  return search.get(ABOUT) || null;
}

/** The note that this screen was opened with; null when there is none. */
export function useNoted(): Noted | null {
  const [search] = useSearchParams();
  const words = search.get(WORDS);
  return words === null ? null : { words, where: search.get(WHERE) ?? '', about: search.get(ABOUT) ?? '' };
}
