import { type CutInput, type CutPlan, SAW_ORDERS, type SawOrder } from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
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

const Mm = () => NumberField({ min: -1, max: 20_000 });
const Count = () => NumberField({ min: 0, max: 10_000, whole: true });
const Volume = () => NumberField({ min: 0, max: 1e13 });
const Money = (o: { nullable?: boolean } = {}) => NumberField({ min: 0, max: 1e12, whole: true, ...o });

class DemandDto {
  @TextField({ min: 1, max: 120 }) id: string;
  @TextField({ min: 1, max: 120 }) label: string;
  @TextField({ min: 1, max: 60 }) materialId: string;
  @NumberField({ min: 3, max: 1000 }) section: number;
  @NumberField({ min: 3, max: 10_000 }) length: number;
  @NumberField({ min: 1, max: 5000, whole: true }) count: number;
  @BooleanField() octagon: boolean;
  @IdField({ optional: true }) batchId?: string;
}
class StripDto {
  @Mm() x: number;
  @Mm() y: number;
  @Mm() length: number;
  @Mm() width: number;
  @Count() layers: number;
  @BooleanField() asIs: boolean;
}
class PlacedDto {
  @TextField({ min: 1, max: 120 }) demandId: string;
  @Mm() x: number;
  @Mm() y: number;
  @Mm() length: number;
  @Mm() width: number;
  @NumberField({ min: 1, max: 100, whole: true }) layers: number;
}
class OffcutDto {
  @Mm() x: number;
  @Mm() y: number;
  @Mm() length: number;
  @Mm() width: number;
  @Mm() thickness: number;
  @NumberField({ min: 1, max: 100, whole: true }) pieces: number;
  @BooleanField() round: boolean;
}
class BoardCutDto {
  @IdField() stockId: string;
  @ChoiceField(SAW_ORDERS) order: SawOrder;
  @ListField(() => StripDto, { max: 500 }) strips: StripDto[];
  @ListField(() => PlacedDto, { max: 3000 }) blanks: PlacedDto[];
  @ListField(() => OffcutDto, { max: 500 }) offcuts: OffcutDto[];
  @Volume() stockVolume: number;
  @Volume() blankVolume: number;
  @Volume() offcutVolume: number;
}
class MissingDto {
  @TextField({ min: 1, max: 120 }) demandId: string;
  @Count() count: number;
}
class ComparedDto {
  @ListField(() => BoardCutDto, { max: 2000 }) cuts: BoardCutDto[];
  @Money() cost: number;
  @NumberField({ min: -1e13, max: 1e13 }) waste: number;
  @Count() opened: number;
  @ListField(() => MissingDto, { max: 200 }) missing: MissingDto[];
}
class CutPlanDto extends ComparedDto {
  @ChoiceField(SAW_ORDERS) order: SawOrder;
  @Money({ nullable: true }) bound: number | null;
  @BooleanField() proven: boolean;
  @ObjectField(() => ComparedDto) compared: ComparedDto;
  @BooleanField() byVolume: boolean;
  @TextsField({ max: 120, most: 2000 }) estimated: string[];
}

export class KeepCuttingDto {
  @TextField({ min: 1, max: 120 }) name: string;
  @TextField({ min: 8, max: 40 }) studyKey: string;
  @CoreType('CutDemand', { list: true })
  @ListField(() => DemandDto, { max: 200 })
  demand: DemandDto[];
  /** stock that the study could choose from */
  @TextsField({ max: 60, most: 1000 }) stockIds: string[];
  @CoreType('CutPlan')
  @ObjectField(() => CutPlanDto)
  plan: CutPlanDto;
}

export class CuttingView {
  @ApiProperty() id: string;
  @ApiProperty() name: string;
  @ApiProperty() studyKey: string;
  @ApiProperty() madeAt: string;
  @ApiProperty({ type: String, nullable: true }) recordedAt: string | null;
  @CoreType('CutInput') input: CutInput;
  @CoreType('CutPlan') plan: CutPlan;
}
