import {
  BILLET_FORMS,
  type BilletForm,
  BLANK_FORMS,
  type BlankForm,
  CONSUMABLE_KINDS,
  CONSUMABLE_UNITS,
  type ConsumableKind,
  type ConsumableUnit,
  HAND_MOVES,
  keysOf,
  LEDGER_KINDS,
  type LedgerKind,
  type HandMove,
  type NewStockItem,
  PRICE_UNITS,
  type PriceUnit,
  STOCK_KINDS,
  type StockItem,
} from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { DayField } from '../edge/days.js';
import {
  BooleanField,
  ChoiceField,
  CoreType,
  IdField,
  ListField,
  NumberField,
  ObjectField,
  TextField,
} from '../edge/fields.js';
import { DimensionDto } from '../edge/dimension.dto.js';

const Length = () => ObjectField(() => DimensionDto);
const Place = () => NumberField({ min: -20_000, max: 20_000 });

class PriceDto {
  @NumberField({ min: 0, max: 100_000_000, whole: true }) minor: number;
  @TextField({ max: 3, min: 3, pattern: /^[A-Z]{3}$/, like: 'EUR' }) currency: string;
  @ChoiceField(PRICE_UNITS) per: PriceUnit;
}

class StockBodyDto {
  @ChoiceField(STOCK_KINDS) kind: StockItem['kind'];
  @TextField({ min: 1, max: 120 }) label: string;
  @TextField({ max: 80 }) place: string;
  @ObjectField(() => PriceDto, { nullable: true }) price: PriceDto | null;
  @NumberField({ min: 0, max: 1_000_000, nullable: true }) reorderAt: number | null;
}

class WoodDto extends StockBodyDto {
  @TextField({ min: 1, max: 60 }) materialId: string;
  @NumberField({ min: 0, max: 200, nullable: true }) moisture: number | null;
  @TextField({ max: 200 }) origin: string;
  @BooleanField() offcut: boolean;
}

class ZoneDto {
  @Place() from: number;
  @Place() to: number;
  @Place() low: number;
  @Place() high: number;
  @TextField({ max: 60 }) why: string;
}

class BoardDto extends WoodDto {
  @Length() thickness: DimensionDto;
  @Length() width: DimensionDto;
  @Length() length: DimensionDto;
  @ListField(() => ZoneDto, { max: 30 }) zones: ZoneDto[];
}
class SquareDto extends WoodDto {
  @Length() side: DimensionDto;
  @Length() length: DimensionDto;
}
class RodDto extends WoodDto {
  @Length() diameter: DimensionDto;
  @Length() length: DimensionDto;
}
class TipDto extends WoodDto {
  @Length() thickEnd: DimensionDto;
  @Length() thinEnd: DimensionDto;
  @Length() length: DimensionDto;
}
class PithDto {
  @Place() x: number;
  @Place() y: number;
}
class LogDto extends WoodDto {
  @Length() buttDiameter: DimensionDto;
  @Length() topDiameter: DimensionDto;
  @Length() length: DimensionDto;
  @ObjectField(() => PithDto) pith: PithDto;
  @Length() sapwood: DimensionDto;
  @DayField({ nullable: true }) felled: string | null;
}
class BlankDto extends WoodDto {
  @ChoiceField(BLANK_FORMS) form: BlankForm;
  @Length() size: DimensionDto;
  @Length() length: DimensionDto;
  @IdField({ nullable: true }) batchId: string | null;
}
class ConsumableDto extends StockBodyDto {
  @ChoiceField(CONSUMABLE_KINDS) what: ConsumableKind;
  @ChoiceField(CONSUMABLE_UNITS) unit: ConsumableUnit;
  @DayField({ nullable: true }) opened: string | null;
  @DayField({ nullable: true }) expires: string | null;
}

const KINDS = {
  board: BoardDto,
  square: SquareDto,
  rod: RodDto,
  tip: TipDto,
  log: LogDto,
  blank: BlankDto,
  consumable: ConsumableDto,
} satisfies Record<StockItem['kind'], unknown>;

/** So many of an item that came in. */
export class ReceivedDto {
  @CoreType('NewStockItem')
  @ObjectField(() => StockBodyDto, { kinds: KINDS })
  item: StockBodyDto;
  @NumberField({ min: 0.001, max: 1_000_000 }) amount: number;
}

export class ReceiveDto {
  @ApiProperty({ type: [ReceivedDto] })
  @ListField(() => ReceivedDto, { max: 2000 })
  received: ReceivedDto[];
}

export class ChangeStockDto {
  @CoreType('NewStockItem')
  @ObjectField(() => StockBodyDto, { kinds: KINDS })
  item: StockBodyDto;
  /** version that was edited; another one in between is a conflict */
  @NumberField({ min: 1, max: 1_000_000, whole: true }) basedOn: number;
}

export class MoveDto {
  @ChoiceField(HAND_MOVES) kind: HandMove;
  /** for corrected: what was counted; otherwise what came or went */
  @NumberField({ min: 0, max: 1_000_000 }) amount: number;
  @TextField({ max: 200 }) note: string;
}

/** What is wanted of a log that is split, and what came out of it. */
export class SplitDto {
  @NumberField({ min: 2, max: 12, whole: true }) sectors: number;
  @ChoiceField(BILLET_FORMS) form: BilletForm;
  @NumberField({ min: 0, max: 100 }) hewing: number;
  @NumberField({ min: 5, max: 1000 }) diameter: number;
  @NumberField({ min: 10, max: 5000 }) length: number;
  @NumberField({ min: 0, max: 500 }) pithClearance: number;
  @BooleanField() heartOnly: boolean;
  /** billets that really came out of it */
  @NumberField({ min: 1, max: 5000, whole: true }) billets: number;
}

/** The DTO of each kind holds exactly the fields of the core's item of that kind, but for the id. */
export const itemOf = (dto: { item: StockBodyDto }): NewStockItem =>
  ({ ...dto.item }) as unknown as NewStockItem;

export class HeldStockView {
  @CoreType('StockItem') item: StockItem;
  @ApiProperty() amount: number;
  @ApiProperty({ description: 'worth of all of it, minor units' }) cost: number;
  @ApiProperty() version: number;
}

export class LedgerPageDto {
  @Type(() => Number)
  @NumberField({ min: 1, max: Number.MAX_SAFE_INTEGER, whole: true, optional: true })
  before?: number;
  @TextField({ max: 80, optional: true }) search?: string;
}

/** The ledger added up over all of its lines, minor units. */
export class BalanceView {
  @CoreType('LedgerCosts') byKind: Record<LedgerKind, number>;
  @ApiProperty() worth: number;
  @ApiProperty({ description: 'of the worth: hardware kits' }) kits: number;
  @ApiProperty({ type: [String] }) wrong: string[];
  @ApiProperty({ type: [String] }) openCuttings: string[];
}

export class LedgerLineView {
  @ApiProperty() id: string;
  @ApiProperty() at: string;
  @ApiProperty({ enum: ['stock', 'kit'] }) shelf: 'stock' | 'kit';
  @ApiProperty() itemId: string;
  @ApiProperty() label: string;
  @ApiProperty({ enum: keysOf(LEDGER_KINDS) }) kind: LedgerKind;
  @ApiProperty() amount: number;
  @ApiProperty() cost: number;
  @ApiProperty() note: string;
  @ApiProperty({ type: String, nullable: true }) cuttingId: string | null;
}

export class LedgerPageView {
  @ApiProperty({ type: [LedgerLineView] }) lines: LedgerLineView[];
  @ApiProperty({ type: Number, nullable: true, description: 'where the next page begins' })
  next: number | null;
}
