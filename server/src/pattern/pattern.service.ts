import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { checkPattern, differenceInWords, speak, type PatternBody } from '@compas/core';
import { isUUID } from 'class-validator';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { CheckResultView, PatternPageView, PatternView, RevisionView } from './pattern.dto.js';
import { PatternEntity, PatternRevisionEntity } from './pattern.entity.js';

/** What each check said last: by the instants that the store keeps, which follow the count of each device, like the core. */
const CHECK_RESULTS = `
WITH last AS (
  SELECT DISTINCT ON (e.batch_id, e.piece, e.body->>'checkId')
    e.batch_id, e.body->>'checkId' AS "checkId", (e.body->>'passed')::boolean AS passed, (e.body->>'value')::float8 AS value, e.at
  FROM events e JOIN batches b ON b.workshop_id = e.workshop_id AND b.id = e.batch_id
  WHERE b.pattern_id = $1 AND e.body->>'kind' = 'checked'
  ORDER BY e.batch_id, e.piece, e.body->>'checkId', e.at DESC, e.device COLLATE "C" DESC, e.sequence DESC
)
SELECT "checkId", count(*) FILTER (WHERE passed)::int AS passed, count(*) FILTER (WHERE NOT passed)::int AS failed,
  count(DISTINCT batch_id)::int AS batches,
  coalesce((array_agg(value ORDER BY at DESC) FILTER (WHERE value IS NOT NULL))[1:20], '{}') AS values
FROM last GROUP BY "checkId" ORDER BY "checkId"`;

/** Patterns of a page. */
const PAGE = 60;
const LISTED = `
SELECT p.id, p.name, p.kind, p.revision, p.version, r.body FROM patterns p
JOIN pattern_revisions r ON r.workshop_id = p.workshop_id AND r.pattern_id = p.id AND r.number = p.revision
WHERE ($1::text IS NULL OR (p.name, p.id) > ($1, $2::uuid)) AND ($3 = '' OR p.name ILIKE '%' || $3 || '%')
ORDER BY p.name, p.id LIMIT $4`;

/** Where a page begins: after a pattern by its name and id. */
function keyOf(after: string): { id: string; name: string } {
  const [id = '', ...name] = after.split('|');
  if (!isUUID(id))
    throw Problem.unusable([{ field: 'after', why: 'after is no place in the list. Begin without it.' }]);
  return { id, name: name.join('|') };
}

/** Patterns and their revisions. A revision is never changed, only followed by another. */
@Injectable()
export class PatternService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly rows: SharedRows,
  ) {}

  /** A page of patterns by name, after a pattern of the page before; with words only those called so. */
  async page(after: string | null, search: string): Promise<PatternPageView> {
    const key = after === null ? null : keyOf(after);
    const rows = await this.transaction.manager.query<PatternView[]>(LISTED, [
      key?.name ?? null,
      key?.id ?? null,
      search.replace(/[\\%_]/g, '\\$&'),
      PAGE + 1,
    ]);
    const patterns = rows.slice(0, PAGE);
    const last = patterns.at(-1);
    return { patterns, next: rows.length > PAGE && last ? `${last.id}|${last.name}` : null };
  }

  async show(id: string): Promise<PatternView> {
    const pattern = await this.find(id);
    const { body } = await this.revision(id, pattern.revision);
    return {
      id,
      name: pattern.name,
      kind: pattern.kind as PatternView['kind'],
      revision: pattern.revision,
      version: pattern.version,
      body,
    };
  }

  async revision(patternId: string, number: number): Promise<PatternRevisionEntity> {
    const revision = await this.transaction.manager.findOneBy(PatternRevisionEntity, { patternId, number });
    if (!revision) throw Problem.notFound('revision');
    return revision;
  }

  async revisions(patternId: string): Promise<RevisionView[]> {
    await this.find(patternId);
    const found = await this.transaction.manager.find(PatternRevisionEntity, {
      where: { patternId },
      order: { number: 'DESC' },
    });
    return found.map(({ number, changes, madeBy, madeAt, body }) => ({
      number,
      changes,
      madeBy,
      madeAt: madeAt.toISOString(),
      body,
    }));
  }

  /** The last answer on each piece counts: a check that was made again replaces the one before. */
  async checkResults(patternId: string): Promise<CheckResultView[]> {
    await this.find(patternId);
    return this.transaction.manager.query(CHECK_RESULTS, [patternId]);
  }

  async create(name: string, body: PatternBody, madeBy: string): Promise<PatternView> {
    refuseUnmakeable(body);
    const id = randomUUID();
    await this.transaction.manager.insert(PatternEntity, {
      workshopId: this.here,
      id,
      name,
      kind: body.kind,
      revision: 1,
      ...this.rows.first(),
    });
    await this.add(id, 1, body, [], madeBy);
    return { id, name, kind: body.kind, revision: 1, version: 1, body };
  }

  async revise(
    id: string,
    name: string,
    body: PatternBody,
    basedOn: number,
    madeBy: string,
  ): Promise<PatternView> {
    refuseUnmakeable(body);
    const pattern = await this.rows.locked(PatternEntity, id, 'pattern');
    const before = await this.revision(id, pattern.revision);
    this.rows.refuseStale(
      pattern,
      basedOn,
      `${pattern.changedBy || before.madeBy} saved revision ${pattern.revision} while you edited: ${before.changes.map((c) => speak(c, 'mm')).join(', ')}.`,
    );
    const changes = differenceInWords(before.body, body);
    const number = changes.length > 0 ? pattern.revision + 1 : pattern.revision;
    await this.transaction.manager.update(
      PatternEntity,
      { id, workshopId: this.here },
      { name, kind: body.kind, revision: number, ...this.rows.next(pattern) },
    );
    if (changes.length > 0) await this.add(id, number, body, changes, madeBy);
    return { id, name, kind: body.kind, revision: number, version: pattern.version + 1, body };
  }

  async remove(id: string): Promise<void> {
    await this.find(id);
    const used = await this.transaction.manager.query<unknown[]>(
      'SELECT 1 FROM order_lines WHERE pattern_id = $1 LIMIT 1',
      [id],
    );
    if (used.length > 0)
      throw Problem.conflict(
        'Orders were made to this pattern, so it stays. Duplicate it to try something else.',
      );
    await this.transaction.manager.delete(PatternEntity, { id, workshopId: this.here });
  }

  private add(patternId: string, number: number, body: PatternBody, changes: string[], madeBy: string) {
    return this.transaction.manager.insert(PatternRevisionEntity, {
      workshopId: this.here,
      patternId,
      number,
      body,
      changes,
      madeBy,
    });
  }

  private async find(id: string): Promise<PatternEntity> {
    const pattern = await this.transaction.manager.findOneBy(PatternEntity, { id });
    if (!pattern) throw Problem.notFound('pattern');
    return pattern;
  }

  private get here(): string {
    return this.transaction.acting.workshopId;
  }
}

function refuseUnmakeable(body: PatternBody): void {
  const problems = checkPattern(body);
  if (problems.length > 0)
    throw Problem.unusable(
      problems.map((p) => ({
        field: `body.${p.partId}${p.elementId ? `.${p.elementId}` : ''}`,
        why: speak(p.why, 'mm'),
      })),
    );
}
