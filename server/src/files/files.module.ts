import { Module } from '@nestjs/common';
import { BatchModule } from '../batch/batch.module.js';
import { PatternModule } from '../pattern/pattern.module.js';
import { FilesController } from './files.controller.js';
import { PrintController } from './print.controller.js';

@Module({ imports: [BatchModule, PatternModule], controllers: [FilesController, PrintController] })
export class FilesModule {}
