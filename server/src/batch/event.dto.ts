import {
  PLACES,
  type MendStep,
  type Place,
  type RunEvent,
  type RunEventBody,
  type RunEventKind,
} from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import { plainToInstance } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, IsObject, IsUUID, Min, validate } from 'class-validator';
import { InstantField } from '../edge/days.js';
import {
  BooleanField,
  ChoiceField,
  CoreType,
  IdField,
  ListField,
  NumberField,
  ObjectField,
  TextField,
  TextsField,
} from '../edge/fields.js';
import { fieldProblems } from '../edge/validation.js';

type Of<K extends RunEventKind> = Extract<RunEventBody, { kind: K }>;

const StepId = () => TextField({ min: 1, max: 120 });
const Words = (min = 0) => TextField({ min, max: 500 });
const Measured = () => NumberField({ min: 0, max: 20_000 });

/** A shrunken photo, some tens of kilobytes. */
const Photo = () =>
  TextField({
    max: 200_000,
    pattern: /^data:image\/(jpeg|webp|png);base64,[A-Za-z0-9+/=]+$/,
    like: 'data:image/jpeg;base64,…',
    optional: true,
  });

class EventBodyDto {
  kind: RunEventKind;
}
class StartedDto extends EventBodyDto implements Of<'started'> {
  declare kind: 'started';
  @StepId() stepId: string;
}
class DoneDto extends EventBodyDto implements Of<'done'> {
  declare kind: 'done';
  @StepId() stepId: string;
}
class TimedDto extends EventBodyDto implements Of<'timed'> {
  declare kind: 'timed';
  @StepId() stepId: string;
  @StepId() timerId: string;
}
class MeasuredDto extends EventBodyDto implements Of<'measured'> {
  declare kind: 'measured';
  @StepId() stepId: string;
  @StepId() stationId: string;
  @Measured() mm: number;
  @TextField({ max: 60 }) typed: string;
}
class CorrectedDto extends EventBodyDto implements Of<'corrected'> {
  declare kind: 'corrected';
  @IdField() eventId: string;
  @Measured() mm: number;
  @TextField({ max: 60 }) typed: string;
  @Words(1) why: string;
}
class CheckedDto extends EventBodyDto implements Of<'checked'> {
  declare kind: 'checked';
  @StepId() stepId: string;
  @StepId() checkId: string;
  @BooleanField() passed: boolean;
  @NumberField({ min: -1e6, max: 1e6, optional: true }) value?: number;
  @TextField({ max: 500, optional: true }) words?: string;
  @Photo() photo?: string;
}
class TriedDto extends EventBodyDto implements Of<'tried'> {
  declare kind: 'tried';
  @StepId() stepId: string;
  @BooleanField() fits: boolean;
  @Words() note: string;
}
class OverriddenDto extends EventBodyDto implements Of<'overridden'> {
  declare kind: 'overridden';
  @StepId() stepId: string;
  @Words(1) why: string;
}
class RejectedDto extends EventBodyDto implements Of<'rejected'> {
  declare kind: 'rejected';
  @StepId() stepId: string;
  @Words(1) cause: string;
}
class SparedDto extends EventBodyDto implements Of<'spared'> {
  declare kind: 'spared';
  @IdField() eventId: string;
}
class SettledDto extends EventBodyDto implements Of<'settled'> {
  declare kind: 'settled';
  @StepId() stepId: string;
  @IdField() eventId: string;
  @ApiProperty({ type: [String], format: 'uuid' })
  @IsArray({ message: 'others is missing. Give the readings that it is put before as a list.' })
  @ArrayMinSize(1, { message: 'others has no entries. Name at least one reading.' })
  @ArrayMaxSize(50, { message: 'others has too many entries. Name at most 50 readings.' })
  @IsUUID('all', { each: true, message: 'each of others must be the id of a reading.' })
  others: string[];
}
class JoinedDto extends EventBodyDto implements Of<'joined'> {
  declare kind: 'joined';
  @StepId() stepId: string;
  @ApiProperty({ type: [Number] })
  @IsArray({ message: 'pieces is missing. Give the numbers of the pieces as a list.' })
  @ArrayMaxSize(100, { message: 'pieces has too many entries. Join at most 100 at a time.' })
  @IsInt({ each: true, message: 'each of pieces must be the number of a piece, 1 or more.' })
  @Min(1, { each: true, message: 'each of pieces must be the number of a piece, 1 or more.' })
  pieces: number[];
}
class NotedDto extends EventBodyDto implements Of<'noted'> {
  declare kind: 'noted';
  @StepId() stepId: string;
  @Words() words: string;
  @Photo() photo?: string;
}
class MendStepDto implements MendStep {
  @TextField({ min: 1, max: 80 }) title: string;
  @TextField({ max: 500 }) words: string;
  @ChoiceField(PLACES) place: Place;
  @NumberField({ min: 0, max: 10_000 }) minutes: number;
}
class KeptSizeDto {
  @StepId() stationId: string;
  @Measured() mm: number;
}
class MendedDto extends EventBodyDto implements Of<'mended'> {
  declare kind: 'mended';
  @StepId() stepId: string;
  @TextField({ min: 1, max: 60 }) partId: string;
  @ListField(() => MendStepDto, { max: 20 }) steps: MendStepDto[];
  @TextsField({ max: 120, most: 200 }) again: string[];
  @ListField(() => KeptSizeDto, { max: 60 }) keeps: KeptSizeDto[];
  @Words() why: string;
}
class HandedDto extends EventBodyDto implements Of<'handed'> {
  declare kind: 'handed';
  @StepId() stepId: string;
  @TextField({ min: 1, max: 80 }) who: string;
}
class ReopenedDto extends EventBodyDto implements Of<'reopened'> {
  declare kind: 'reopened';
  @StepId() stepId: string;
  @IdField({ optional: true }) eventId?: string;
}

/** Which form an event has, by its kind. */
export const EVENT_FORMS = {
  started: StartedDto,
  done: DoneDto,
  timed: TimedDto,
  measured: MeasuredDto,
  checked: CheckedDto,
  corrected: CorrectedDto,
  tried: TriedDto,
  overridden: OverriddenDto,
  rejected: RejectedDto,
  spared: SparedDto,
  settled: SettledDto,
  joined: JoinedDto,
  noted: NotedDto,
  mended: MendedDto,
  handed: HandedDto,
  reopened: ReopenedDto,
} satisfies Record<RunEventKind, unknown>;
ChoiceField(EVENT_FORMS)(EventBodyDto.prototype, 'kind');

class RunEventDto {
  @IdField() id: string;
  @NumberField({ min: 1, max: 100_000, whole: true }) piece: number;
  @InstantField() at: string;
  @NumberField({ min: -1e12, max: 1e12, optional: true }) offset?: number;
  @NumberField({ min: 0, max: 2_000_000_000, whole: true, optional: true }) jumps?: number;
  @IdField({ optional: true }) recorder?: string;
  @TextField({ min: 1, max: 80 }) device: string;
  @NumberField({ min: 0, max: 2_000_000_000, whole: true }) sequence: number;
  @NumberField({ min: 1, max: 100_000, whole: true }) planVersion: number;
  @ObjectField(() => EventBodyDto, { kinds: EVENT_FORMS })
  body: EventBodyDto;
}

/** Whose records a device sends, with what only that device knows of them. */
class RecorderDto {
  @IdField() id: string;
  @TextField({ min: 20, max: 100 }) secret: string;
}

/** Events are read one by one, so that a malformed one does not hold up the rest. */
export class EventsDto {
  @CoreType('RunEvent', { list: true })
  @IsArray({ message: 'events is missing. Give it as a list.' })
  @ArrayMinSize(1, { message: 'events is empty. Send at least one.' })
  @ArrayMaxSize(500, { message: 'events has too many entries. Send at most 500 at a time.' })
  @IsObject({ each: true, message: 'each event must be an object.' })
  events: object[];
  @ApiProperty({ type: [RecorderDto], required: false })
  @ListField(() => RecorderDto, { max: 50, optional: true })
  recorders?: RecorderDto[];
  /** the device's clock as it sends */
  @InstantField({ optional: true }) sent?: string;
  @NumberField({ min: 0, max: 2_000_000_000, whole: true, optional: true }) jumps?: number;
}

export class SetAsideView {
  @ApiProperty({ type: String, nullable: true }) id: string | null;
  @ApiProperty() why: string;
}

/** What was set aside, as it came. */
export class AsideRecordView {
  @ApiProperty({ format: 'uuid' }) id: string;
  @ApiProperty({ format: 'uuid' }) batchId: string;
  @ApiProperty({ description: 'name of the batch' }) batch: string;
  @ApiProperty() why: string;
  @ApiProperty({ type: Object, description: 'as it came' }) raw: object;
  @ApiProperty({ format: 'date-time' }) receivedAt: string;
}

export class StoredEventsView {
  @ApiProperty({ description: 'newly stored' }) stored: number;
  @ApiProperty({ description: 'sent before, or the same again' }) known: number;
  @ApiProperty({ type: [SetAsideView] }) setAside: SetAsideView[];
}

/** Events after a number, and the number to ask from next. */
export class EventPageView {
  @CoreType('RunEvent', { list: true }) events: RunEvent[];
  @ApiProperty() last: number;
  @ApiProperty({ description: 'there are more after it' }) more: boolean;
}

/** What somebody recorded on a batch. */
export class CreditView {
  @ApiProperty() name: string;
  @ApiProperty({ description: 'steps that they ended' }) steps: number;
  @ApiProperty() readings: number;
}

export type ReadEvent = { ok: true; event: RunEvent } | { ok: false; raw: object; why: string };

/** Reads one event against its DTO. */
export async function readEvent(raw: object): Promise<ReadEvent> {
  const dto = plainToInstance(RunEventDto, raw);
  const errors = await validate(dto, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
  });
  if (errors.length > 0)
    return {
      ok: false,
      raw,
      why: fieldProblems(errors)
        .map((f) => f.why)
        .join(' '),
    };
  // the body's class by kind implements the core's event body of that kind
  return { ok: true, event: dto as unknown as RunEvent };
}
