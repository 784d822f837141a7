import { checkPattern, type PatternBody } from '../pattern/index.js';
import { speak } from '../measure/index.js';
import { FileProblem, reading } from './fileProblem.js';

/** A pattern in a file of its own: readable by people and by every later version of Compas. */
export interface PatternFile {
  format: 'compas pattern';
  version: 1;
  name: string;
  body: PatternBody;
}

export const writePattern = (name: string, body: PatternBody): string =>
  `${JSON.stringify({ format: 'compas pattern', version: 1, name, body } satisfies PatternFile, null, 2)}\n`;

interface ReadPattern {
  name: string;
  body: PatternBody;
  leftAside: string[];
}

/** Reads a pattern file; a FileProblem says what is wrong. Kits of another workshop are left aside. */
export const readPattern = (text: string): ReadPattern => reading(text, () => patternIn(text));

function patternIn(text: string): ReadPattern {
  const file = parsed(text);
  if (file.format !== 'compas pattern')
    throw new FileProblem('This is not a pattern file of Compas: its format is missing.');
  if (file.version !== 1)
    throw new FileProblem(
      `It was written as version ${String(file.version)}; this Compas reads version 1. Update Compas.`,
    );
  const { name, body } = file;
  if (typeof name !== 'string' || !isBody(body))
    throw new FileProblem('The pattern in it is not complete: it needs a name, parts and their turnings.');
  const leftAside = body.hardware.length > 0 ? ['the hardware: kits belong to each workshop'] : [];
  const own = { ...body, hardware: [] };
  const [problem] = problemsOf(own);
  if (problem) throw new FileProblem(speak(problem.why, 'mm'), `Part ${problem.partId}`);
  return { name, body: own, leftAside };
}

/** A body that lacks what its elements need cannot even be looked at: that is a fault of the file. */
function problemsOf(body: PatternBody): ReturnType<typeof checkPattern> {
  try {
    return checkPattern(body);
  } catch {
    throw new FileProblem(
      'An element or a hole in it is of a kind or with a size that this Compas does not know. Give it out anew.',
    );
  }
}

function parsed(text: string): Partial<PatternFile> {
  try {
    const value: unknown = JSON.parse(text);
    if (typeof value === 'object' && value !== null) return value;
  } catch (error) {
    throw new FileProblem(
      `This is not JSON: ${error instanceof Error ? error.message : 'it cannot be read'}`,
    );
  }
  throw new FileProblem('This is JSON, but not a pattern.');
}

/** Enough of a body to be looked at; the server checks every field when it is saved. */
function isBody(body: unknown): body is PatternBody {
  const b = body as Partial<PatternBody> | undefined;
  return (
    b?.schema === 1 &&
    Array.isArray(b.parts) &&
    b.parts.length > 0 &&
    Array.isArray(b.hardware) &&
    b.parts.every(
      (p) =>
        Array.isArray(p.holes) &&
        Array.isArray(p.turnings) &&
        p.turnings.length > 0 &&
        p.turnings.every((t) => Array.isArray(t.elements) && typeof t.startDiameter?.mm === 'number'),
    )
  );
}
