import { Controller, Get, HttpStatus, Param, Req, Res } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { StoredSnapshot } from '@compas/core';
import type { Request, Response } from 'express';
import { InWorkshop } from '../access/inWorkshop.js';
import { CoreType } from '../edge/fields.js';
import { Problem } from '../edge/problem.js';
import { BatchService } from './batch.service.js';

export class SnapshotView {
  @CoreType('StoredSnapshot') snapshot: StoredSnapshot;
}

/** Plans by the hash of their content: what lies at an address never changes. */
@ApiTags('batch')
@Controller('snapshots')
@InWorkshop()
export class SnapshotController {
  constructor(private readonly batches: BatchService) {}

  /** A browser may keep it, but asks each time: only a member is told that it is still the same. */
  @Get(':hash')
  @ApiOkResponse({ type: SnapshotView })
  async show(
    @Param('hash') hash: string,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<SnapshotView | undefined> {
    const tag = `"${hash}"`;
    response.setHeader('cache-control', 'private, no-cache');
    if (request.headers['if-none-match'] === tag && (await this.batches.isThere(hash))) {
      response.status(HttpStatus.NOT_MODIFIED);
      return undefined;
    }
    const snapshot = await this.batches.at(hash);
    if (snapshot === null) throw Problem.notFound('plan');
    response.setHeader('etag', tag);
    return { snapshot };
  }
}
