import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  airOf,
  dayAfter,
  dryingWood,
  forecastOf,
  pieceSizeOf,
  weighingProblems,
  type DryingBundle,
  type DryingWood,
} from '@compas/core';
import ical from 'ical-generator';
import { In, IsNull } from 'typeorm';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { WorkshopService } from '../workshop/workshop.service.js';
import { DryingBundleEntity } from './bundle.entity.js';
import { StockItemEntity } from '../stock/stock.entity.js';
import type { BundleView } from './drying.dto.js';

type PieceSize = NonNullable<BundleView['size']>;

/** Days between two weighings of a bundle. */
const WEIGH_EVERY = 7;

/** The drying shelf: bundles and their weights. */
@Injectable()
export class DryingService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly workshop: WorkshopService,
    private readonly rows: SharedRows,
  ) {}

  async list(): Promise<BundleView[]> {
    const found = await this.transaction.manager.find(DryingBundleEntity, {
      where: { takenOffAt: IsNull() },
      order: { createdAt: 'ASC' },
    });
    const sizes = await this.sizesOf(found.flatMap(({ body }) => body.itemId ?? []));
    return found.map(({ id, version, body }) => ({
      id,
      version,
      bundle: body,
      size: sizes.get(body.itemId ?? '') ?? null,
    }));
  }

  /** The shelf as a plan needs to know it. */
  async woods(): Promise<DryingWood[]> {
    const air = airOf((await this.workshop.show()).body);
    return (await this.list()).map((lies) => dryingWood(lies, air));
  }

  async create(bundle: DryingBundle): Promise<BundleView> {
    refuse(bundle);
    const id = randomUUID();
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.insert(DryingBundleEntity, {
      workshopId,
      id,
      body: bundle,
      takenOffAt: null,
      ...this.rows.first(),
    });
    return { id, version: 1, bundle, size: await this.sizeOf(bundle) };
  }

  async change(id: string, bundle: DryingBundle, basedOn: number): Promise<BundleView> {
    const before = await this.onShelf(id);
    this.rows.refuseStale(
      before,
      basedOn,
      `${before.changedBy || 'Somebody'} weighed or changed “${before.body.label}” in between.`,
    );
    refuse(bundle);
    const { workshopId } = this.transaction.acting;
    const stamp = this.rows.next(before);
    await this.transaction.manager.update(DryingBundleEntity, { workshopId, id }, { body: bundle, ...stamp });
    return { id, version: stamp.version, bundle, size: await this.sizeOf(bundle) };
  }

  async takeOff(id: string): Promise<void> {
    const before = await this.onShelf(id);
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.update(
      DryingBundleEntity,
      { workshopId, id },
      { takenOffAt: new Date(), ...this.rows.next(before) },
    );
  }

  /** The days of the shelf as a calendar file: when each bundle is ready, and when it is next weighed. */
  async calendar(now: Date): Promise<string> {
    const { name, body } = await this.workshop.show();
    const calendar = ical({
      name: `Drying shelf, ${name}`,
      prodId: { company: 'compas', product: 'drying-shelf' },
    });
    for (const lies of await this.list()) {
      const { id, bundle } = lies;
      const last = bundle.weighings[bundle.weighings.length - 1];
      if (!last) continue;
      const add = (what: string, day: string, summary: string, description: string) =>
        calendar.createEvent({
          id: `${what}-${id}@compas`,
          start: new Date(day),
          allDay: true,
          stamp: now,
          summary,
          description,
        });
      add(
        'weigh',
        dayAfter(last.day, WEIGH_EVERY),
        `Weigh: ${bundle.label}`,
        `Last weight ${last.grams} g on ${last.day}.`,
      );
      const wood = dryingWood(lies, airOf(body));
      if (wood.readyOn === null) continue;
      const read = forecastOf(bundle, airOf(body));
      const range = read.ok && read.forecast.ready ? rangeWords(bundle, read.forecast.ready) : '';
      add(
        'ready',
        wood.readyOn,
        `Can be turned: ${bundle.label}`,
        `Target ${bundle.target} % by its weights. ${range}`.trim(),
      );
    }
    return calendar.toString();
  }

  /** What one piece of shelf items is across and long, mm; of boards and consumables nobody can say it so. */
  private async sizesOf(itemIds: readonly string[]): Promise<Map<string, PieceSize>> {
    if (itemIds.length === 0) return new Map();
    const items = await this.transaction.manager.findBy(StockItemEntity, { id: In([...new Set(itemIds)]) });
    return new Map(
      items.flatMap(({ id, body }) => {
        const size = pieceSizeOf(body);
        return size ? [[id, size]] : [];
      }),
    );
  }

  private async sizeOf({ itemId }: DryingBundle): Promise<PieceSize | null> {
    return itemId === null ? null : ((await this.sizesOf([itemId])).get(itemId) ?? null);
  }

  private async onShelf(id: string): Promise<DryingBundleEntity> {
    const what = 'bundle on the drying shelf';
    const found = await this.rows.locked(DryingBundleEntity, id, what);
    if (found.takenOffAt !== null) throw Problem.notFound(what);
    return found;
  }
}

function refuse(bundle: DryingBundle): void {
  const problems = weighingProblems(bundle.weighings);
  if (problems.length > 0)
    throw Problem.unusable(problems.map((p) => ({ field: `bundle.${p.field}`, why: p.why })));
}

function rangeWords(bundle: DryingBundle, ready: { earliest: number; latest: number | null }): string {
  const first = bundle.weighings[0]?.day ?? '';
  const earliest = dayAfter(first, Math.floor(ready.earliest));
  return ready.latest === null
    ? `Not before ${earliest}.`
    : `Between ${earliest} and ${dayAfter(first, Math.ceil(ready.latest))}.`;
}
