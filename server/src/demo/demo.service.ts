import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { hash } from '@node-rs/argon2';
import { stepDoes, type PatternBody, type Station } from '@compas/core';
import { AccessService } from '../access/access.service.js';
import { AccessStore } from '../access/accessStore.js';
import type { NewBatchDto } from '../batch/batch.dto.js';
import { BatchService } from '../batch/batch.service.js';
import { EventStore } from '../batch/eventStore.js';
import { DryingService } from '../drying/drying.service.js';
import { StockService } from '../stock/stock.service.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { OrderService } from '../order/order.service.js';
import { KitService } from '../hardware/kit.service.js';
import type { PatternView } from '../pattern/pattern.dto.js';
import { PatternService } from '../pattern/pattern.service.js';
import { SampleService } from '../pattern/sample.service.js';
import type { OwnWayDto } from '../workshop/ownWay.dto.js';
import { WorkshopService } from '../workshop/workshop.service.js';
import { demoPatterns } from './patterns.js';
import { demoBundles, demoStock } from './stock.js';
import { oldFinialSample } from './samples.js';
import { demoEvents, scatter, type DemoRun } from './runs.js';
import {
  DEMO_MAKER,
  DEMO_OWNER,
  DEMO_PASSWORD,
  DEMO_WORKSHOP_NAME,
  demoDrawer,
  demoKits,
  demoWorkshop,
} from './workshop.js';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

const dayOf = (instant: number): string => new Date(instant).toISOString().slice(0, 10);

/** Loads the demo workshop through the same services that serve the screens. */
@Injectable()
export class DemoService {
  constructor(
    private readonly access: AccessService,
    private readonly store: AccessStore,
    private readonly transaction: WorkshopTransaction,
    private readonly kits: KitService,
    private readonly patterns: PatternService,
    private readonly workshop: WorkshopService,
    private readonly batches: BatchService,
    private readonly events: EventStore,
    private readonly samples: SampleService,
    private readonly stock: StockService,
    private readonly drying: DryingService,
    private readonly orders: OrderService,
  ) {}

  async load(now: number): Promise<void> {
    const owner = randomUUID();
    await this.store.createSeeded(owner, DEMO_OWNER.email, DEMO_OWNER.name, await hash(DEMO_PASSWORD));
    const workshop = randomUUID();
    await this.store.createWorkshop(workshop, DEMO_WORKSHOP_NAME, demoWorkshop(), owner, true);
    const token = await this.transaction.run(workshop, owner, async () => {
      const patterns = await this.loadPatterns();
      await this.loadStock(now);
      await this.loadBatches(patterns, now);
      return (await this.access.issue('maker')).token;
    });
    const maker = randomUUID();
    await this.store.createSeeded(maker, DEMO_MAKER.email, DEMO_MAKER.name, await hash(DEMO_PASSWORD));
    await this.access.accept(token ?? '', maker);
  }

  private async loadPatterns(): Promise<PatternView[]> {
    const kits = new Map<string, string>();
    for (const [key, kit] of Object.entries(demoKits)) kits.set(key, (await this.kits.create({ kit })).id);
    for (const kit of demoDrawer) await this.kits.create({ kit });
    const made: PatternView[] = [];
    for (const { name, kit, body } of demoPatterns) {
      const kitId = kit === null ? undefined : kits.get(kit);
      const hardware: PatternBody['hardware'] =
        kitId === undefined ? [] : [{ id: 'h1', kitId, partId: 'part1', end: 'reference' }];
      made.push(await this.patterns.create(name, { ...body, hardware }, DEMO_OWNER.name));
    }
    await this.samples.create(oldFinialSample());
    return [await this.reviseStopper(made[0] as PatternView), ...made.slice(1)];
  }

  /** Shelves, and wood that dries; some of it has been used or lost since it came. */
  private async loadStock(now: number): Promise<void> {
    const made = await this.stock.receive(demoStock(now));
    const find = (label: string) => made.find((item) => item.label === label)?.id ?? '';
    await this.stock.move(find('Slow epoxy'), { kind: 'used', amount: 455, note: 'handles and stoppers' });
    await this.stock.move(find('P240 sheets'), { kind: 'used', amount: 21, note: '' });
    await this.stock.move(find('Cherry squares 45'), {
      kind: 'lost',
      amount: 1,
      note: 'split from end to end',
    });
    for (const bundle of demoBundles(now)) await this.drying.create(bundle);
  }

  /** A second revision, so that the history has something to tell. */
  private reviseStopper(stopper: PatternView): Promise<PatternView> {
    const body = structuredClone(stopper.body);
    for (const element of body.parts[0].turnings[0].elements)
      if (element.kind === 'bead') element.crown = { mm: 35, typed: '35' };
    return this.patterns.revise(stopper.id, stopper.name, body, 1, DEMO_OWNER.name);
  }

  private async loadBatches(patterns: PatternView[], now: number): Promise<void> {
    const [stopper, lantern, handle, lightPull] = patterns;
    if (!stopper || !lantern || !handle || !lightPull) throw new Error('The demo patterns are missing.');
    const finished = await this.order(
      stopper,
      'Lantern Row Kitchenware',
      12,
      now - 9 * DAY,
      now - 5 * DAY,
      'polish',
    );
    await this.play(finished, {
      begun: now - 9 * DAY,
      stepsDone: (_, steps) => steps.length,
      deviation: (piece, station) =>
        (station.label === 'collar' ? 0.05 + 0.042 * piece : 0) + spread(piece, station),
      check: stopperCheck,
    });
    const half = await this.order(handle, 'Pell and Osk, toolmakers', 8, now - 2 * DAY, now + 6 * DAY, 'oil');
    await this.play(half, {
      begun: now - 30 * HOUR,
      stepsDone: (piece, steps) =>
        steps.findIndex((s) => stepDoes(s, piece <= 4 ? 'sanded' : piece === 5 ? 'shape' : 'try')),
      deviation: spread,
      check: () => ({ passed: true }),
      rejected: { piece: 5, cause: 'A check opened at the ferrule shoulder while shaping' },
    });
    const guesthouse = await this.orders.create({
      customer: 'Marrowfield Guesthouse',
      due: dayOf(now + 9 * DAY),
      lines: [
        { patternId: stopper.id, pieces: 6 },
        { patternId: lightPull.id, pieces: 20 },
        { patternId: this.named(patterns, 'Dumpling rolling pin').id, pieces: 3 },
      ],
    });
    const line = (number: number) => ({ lines: [{ orderId: guesthouse.id, number }] });
    const gluing = await this.order(
      stopper,
      'Marrowfield Guesthouse',
      6,
      now - 3 * HOUR,
      now + 9 * DAY,
      'wax',
      line(1),
    );
    await this.play(gluing, {
      begun: now - 2 * HOUR,
      // glued in and curing: the lathe comes next
      stepsDone: (_, steps) => steps.findIndex((s) => s.setup.place === 'lathe'),
      deviation: spread,
      check: stopperCheck,
    });
    await this.order(lightPull, 'Marrowfield Guesthouse', 20, now + DAY, now + 9 * DAY, 'wax', line(2));
    await this.order(handle, 'Hobb Lane Allotments', 14, now + 2 * DAY, now + 20 * DAY, 'oil', {
      ways: [notSanded(now)],
    });
    await this.order(stopper, 'Sedgewater Inn', 18, now + 3 * DAY, now + 24 * DAY, 'polish');
    await this.loadMore(patterns, now);
    await this.loadTops(
      patterns.find((p) => p.body.kind === 'top' && p.body.parts.length > 2),
      now,
    );
  }

  /** A leg that stays square, a spoon about two axes, and dibbers planned for the treadle lathe in the yard. */
  private async loadMore(patterns: PatternView[], now: number): Promise<void> {
    const named = (name: string) => this.named(patterns, name);
    await this.order(named('Footstool leg'), 'Hobb Lane Allotments', 4, now + DAY, now + 18 * DAY, 'oil');
    await this.order(named('Tea caddy spoon'), 'Sedgewater Inn', 3, now + DAY, now + 16 * DAY, 'oil');
    const { name, version, body } = await this.workshop.show();
    const yard = { ...body, lathe: { ...body.lathe, drive: { kind: 'treadle' as const } } };
    await this.workshop.change(name, yard, version);
    await this.order(named('Garden dibber'), 'Hobb Lane Allotments', 4, now + DAY, now + 12 * DAY, 'oil');
    await this.workshop.change(name, body, version + 1);
  }

  private named(patterns: readonly PatternView[], name: string): PatternView {
    const found = patterns.find((p) => p.name === name);
    if (!found) throw new Error(`The demo pattern “${name}” is missing.`);
    return found;
  }

  /** Items of several parts, half run: two are together, one cures, and one body was lost on the way. */
  private async loadTops(top: PatternView | undefined, now: number): Promise<void> {
    if (!top) throw new Error('The demo has no top of several parts.');
    const made = await this.order(top, 'Thistledown Toys', 5, now - 2 * DAY, now + 8 * DAY, 'wax');
    const [body, launcher] = [6, 11];
    await this.play(made, {
      begun: now - 26 * HOUR,
      stepsDone: (piece, own) => {
        if (piece <= 2 || (piece >= body && piece < body + 3)) return own.length;
        if (piece === 3) return own.length - 1;
        if (piece < body) return own.findIndex((s) => s.item === true);
        if (piece === body + 3) return own.findIndex((s) => stepDoes(s, 'shape'));
        if (piece < launcher) return own.findIndex((s) => stepDoes(s, 'sanded'));
        return piece < launcher + 2 ? own.length : 0;
      },
      deviation: spread,
      check: (piece, checkId) => ({ passed: true, value: 22 + Math.round(scatter(piece, checkId) * 8) }),
      rejected: { piece: body + 3, cause: 'A knot came up in the rim' },
    });
  }

  private async order(
    pattern: PatternView,
    customer: string,
    pieces: number,
    start: number,
    due: number,
    finishId: string,
    choices: Partial<NewBatchDto> = {},
  ) {
    const dto: NewBatchDto = {
      patternId: pattern.id,
      revision: pattern.revision,
      name: `${pieces} × ${pattern.name}`,
      customer,
      pieces,
      start: `${dayOf(start)}T08:00`,
      due: dayOf(due),
      materialId: pattern.body.parts[0].materialId,
      finishId,
      perBlank: 1,
      mount: null,
      ...wholeItems(pattern.body, finishId),
      schools: { speed: 'rpm-diameter', batching: 'by-operation' },
      ...choices,
    };
    return this.batches.create(dto);
  }

  private async play(batch: Awaited<ReturnType<DemoService['order']>>, run: DemoRun): Promise<void> {
    const snapshot = await this.batches.snapshot(batch.id, batch.planVersion);
    const { setAside } = await this.events.append(batch.id, demoEvents(batch.id, snapshot, run));
    if (setAside.length > 0)
      throw new Error(`The demo made an event that cannot be read: ${setAside[0]?.why ?? ''}`);
  }
}

/** Where the item has several parts they are all made, each of its own wood. */
function wholeItems({ parts: [_, ...rest] }: PatternBody, finishId: string): Pick<NewBatchDto, 'others'> {
  if (rest.length === 0) return {};
  return {
    others: rest.map(({ id, materialId }) => ({
      partId: id,
      materialId,
      finishId,
      perBlank: 1,
      mount: null,
    })),
  };
}

/** An order with a way of its own: a grip straight from the tool. */
const notSanded = (now: number): OwnWayDto => ({
  id: 'tool-finish',
  decides: { kind: 'grits', grits: [], burnish: true } as OwnWayDto['decides'],
  why: 'They want to feel the tool; the skew leaves it clean enough',
  by: DEMO_OWNER.name,
  at: new Date(now).toISOString(),
});

/** The seam under a fingernail, and how tall it stands; one stopper of the lot caught. */
const stopperCheck = (piece: number, checkId: string): { passed: boolean; value?: number } =>
  checkId === 'height'
    ? { passed: true, value: 64 + Math.round(scatter(piece, checkId) * 30) / 100 }
    : { passed: piece !== 7 };

/** A practised hand: a third of the tolerance either way. */
const spread = (piece: number, station: Station): number =>
  scatter(piece, station.id) * station.tolerance * 0.35;
