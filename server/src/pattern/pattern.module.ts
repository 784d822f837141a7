import { Module } from '@nestjs/common';
import { PatternController } from './pattern.controller.js';
import { PatternService } from './pattern.service.js';
import { SampleController } from './sample.controller.js';
import { SampleService } from './sample.service.js';

@Module({
  controllers: [PatternController, SampleController],
  providers: [PatternService, SampleService],
  exports: [PatternService, SampleService],
})
export class PatternModule {}
