import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { NewSampleDto, SampleView } from './sample.dto.js';
import { SampleEntity } from './sample.entity.js';

/** Samples as they were measured; a sample is never changed, only measured anew. */
@Injectable()
export class SampleService {
  constructor(private readonly transaction: WorkshopTransaction) {}

  async list(): Promise<SampleView[]> {
    const found = await this.transaction.manager.find(SampleEntity, { order: { name: 'ASC' } });
    return found.map(viewOf);
  }

  async create({ name, measuredBy, trace, note }: NewSampleDto): Promise<SampleView> {
    const { x, up, down } = trace;
    if (x.length < 3 || up.length !== x.length || down.length !== x.length)
      throw Problem.unusable([
        {
          field: 'trace',
          why: `A sample has at least three places, each with two radii; this has ${x.length} places, ${up.length} and ${down.length} radii.`,
        },
      ]);
    const sample = { id: randomUUID(), name, measuredBy, trace: { x, up, down }, note };
    await this.transaction.manager.insert(SampleEntity, {
      workshopId: this.transaction.acting.workshopId,
      ...sample,
    });
    return sample;
  }

  async remove(id: string): Promise<void> {
    const { workshopId } = this.transaction.acting;
    const { affected } = await this.transaction.manager.delete(SampleEntity, { workshopId, id });
    if (!affected) throw Problem.notFound('sample');
  }
}

const viewOf = ({ id, name, measuredBy, trace, note }: SampleEntity): SampleView => ({
  id,
  name,
  measuredBy,
  trace,
  note,
});
