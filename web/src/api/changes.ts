import { ApiProblem } from './problem.js';
import { randomId } from './randomId.js';

/** What a change is called on its way: its own id, and one before it whose answer never came. */
export interface ChangeName {
  id: string;
  after: string | null;
}

let named: ChangeName | null = null;

/** The name of the change that is being asked for; one that nobody named gets an id of its own. */
export function takeName(): ChangeName {
  const name = named ?? { id: randomId(), after: null };
  named = null;
  return name;
}

/**
 * Names the changes of one form or button, so that one sent again is the same change: it keeps its id while
 * no answer came. When something else is sent instead, it says after which lost change it comes.
 */
export class Changes {
  private lost: { id: string; asked: string } | null = null;

  /** Asks for a change; `change` must ask the server before it waits for anything. */
  async make<Input, Output>(input: Input, change: (input: Input) => Promise<Output>): Promise<Output> {
    const asked = JSON.stringify(input) ?? '';
    const again = this.lost?.asked === asked;
    const name: ChangeName = again
      ? { id: this.lost?.id ?? randomId(), after: null }
      : { id: randomId(), after: this.lost?.id ?? null };
    named = name;
    try {
      const answer = await change(input);
      this.lost = null;
      return answer;
    } catch (error) {
      if (wasLost(error)) this.lost = { id: name.id, asked };
      throw error;
    }
  }
}

/** Nobody knows whether a change was made whose answer did not come, or came from something in between. */
const wasLost = (error: unknown): boolean => !(error instanceof ApiProblem) || error.status >= 500;
