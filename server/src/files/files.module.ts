import { Module } from '@nestjs/common';
import { BatchModule } from '../batch/batch.module.js';
import { FilesController } from './files.controller.js';

@Module({ imports: [BatchModule], controllers: [FilesController] })
export class FilesModule {}
