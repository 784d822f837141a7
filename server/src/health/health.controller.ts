import { Controller, Get, ServiceUnavailableException, UseGuards } from '@nestjs/common';
import { ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import { Throttle, ThrottlerGuard } from '@nestjs/throttler';
import { DataSource } from 'typeorm';
import { clockBehind } from '../database/clockBehind.js';
import { MIGRATIONS } from '../database/ownerDataSource.js';

class HealthView {
  @ApiProperty() status: 'ok';
  @ApiProperty() migrations: number;
  @ApiProperty({ description: 'ms by which the newest record is later than now: the clock was put back' })
  clockBehind: number;
}

@ApiTags('health')
@Controller('health')
export class HealthController {
  constructor(private readonly source: DataSource) {}

  /** ok when the database answers and has every migration. */
  @Get()
  @UseGuards(ThrottlerGuard)
  @Throttle({ default: { limit: 1_200, ttl: 60_000 } })
  @ApiOkResponse({ type: HealthView })
  async show(): Promise<HealthView> {
    const migrations = await this.migrations();
    if (migrations < MIGRATIONS.length)
      throw new ServiceUnavailableException('The database is not migrated.');
    return { status: 'ok', migrations, clockBehind: await clockBehind(this.source) };
  }

  private async migrations(): Promise<number> {
    try {
      const [{ count }] = await this.source.query<[{ count: number }]>(
        'SELECT count(*)::int AS count FROM migrations',
      );
      return count;
    } catch {
      throw new ServiceUnavailableException('The database cannot be reached.');
    }
  }
}
