import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { PatternEntity, PatternRevisionEntity } from './pattern.entity.js';
import { SampleEntity } from './sample.entity.js';
import { PatternController } from './pattern.controller.js';
import { PatternService } from './pattern.service.js';
import { SampleController } from './sample.controller.js';
import { SampleService } from './sample.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([PatternEntity, PatternRevisionEntity, SampleEntity])],
  controllers: [PatternController, SampleController],
  providers: [PatternService, SampleService],
  exports: [PatternService, SampleService],
})
export class PatternModule {}
