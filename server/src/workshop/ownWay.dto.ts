import {
  DECISION_KINDS,
  type DecisionKind,
  DRILL_MOMENTS,
  DRILL_SETUPS,
  type DrillMoment,
  type DrillSetup,
  FITTING_WAYS,
  type FittingWay,
  GRIT_SCALES,
  type GritScale,
  MOUNT_KINDS,
  type MountKind,
  type OwnStep,
  type Place,
  PLACES,
  type StepName,
  STOCK_FORMS,
  type StockForm,
  TURNING_STAGES,
  type TurningStage,
} from '@compas/core';
import { InstantField } from '../edge/days.js';
import {
  BooleanField,
  ChoiceField,
  CoreType,
  ListField,
  NumberField,
  ObjectField,
  TextField,
  TextsField,
} from '../edge/fields.js';

const Name = () => TextField({ min: 1, max: 120 });
const Names = () => TextsField({ max: 120, most: 200 });
const Minutes = () => NumberField({ min: 0, max: 200_000 });

class StepNameDto {
  @ChoiceField(['step', 'like']) kind: StepName['kind'];
}
class OneStepDto extends StepNameDto {
  @Name() id: string;
}
class LikeStepsDto extends StepNameDto {
  @Name() does: string;
  @TextField({ min: 1, max: 60, optional: true }) of?: string;
}
const On = () => ObjectField(() => StepNameDto, { kinds: { step: OneStepDto, like: LikeStepsDto } });

class DecisionDto {
  @ChoiceField(DECISION_KINDS) kind: DecisionKind;
}
class ToolDecisionDto extends DecisionDto {
  @On() on: StepNameDto;
  @Name() toolId: string;
}
class BeforeDecisionDto extends DecisionDto {
  @Names() first: string[];
  @Names() then: string[];
}
class GritDto {
  @NumberField({ min: 16, max: 20_000, whole: true }) grit: number;
  @ChoiceField(GRIT_SCALES) scale: GritScale;
}
class GritsDecisionDto extends DecisionDto {
  @ListField(() => GritDto, { max: 20 }) grits: GritDto[];
  @BooleanField() burnish: boolean;
}
class SpeedDecisionDto extends DecisionDto {
  @ChoiceField(TURNING_STAGES) stage: TurningStage;
  @NumberField({ min: 1, max: 20_000, whole: true }) rpm: number;
}
class BitDecisionDto extends DecisionDto {
  @Name() boreId: string;
  @Name() bitId: string;
}
class DepthDecisionDto extends DecisionDto {
  @Name() holeId: string;
  @NumberField({ min: 0.5, max: 3000 }) mm: number;
}
class CureDecisionDto extends DecisionDto {
  @Name() of: string;
  @Minutes() minutes: number;
}
class MinutesDecisionDto extends DecisionDto {
  @On() on: StepNameDto;
  @NumberField({ min: 0, max: 10_000 }) minutes: number;
}
class PaceDecisionDto extends DecisionDto {
  @On() on: StepNameDto;
  @NumberField({ min: 1, max: 20_000, whole: true }) rpm: number;
}
class WasteDecisionDto extends DecisionDto {
  @ChoiceField(['drive', 'tail']) end: 'drive' | 'tail';
  @NumberField({ min: 0, max: 500 }) mm: number;
}
class OwnStepDto implements OwnStep {
  @TextField({ min: 1, max: 80 }) title: string;
  @TextField({ max: 500 }) words: string;
  @ChoiceField(PLACES) place: Place;
  @NumberField({ min: 0, max: 10_000 }) minutes: number;
  @TextField({ min: 1, max: 120, nullable: true }) after: string | null;
  @Names() makes: string[];
}
class ExtraDecisionDto extends DecisionDto {
  @ObjectField(() => OwnStepDto) step: OwnStepDto;
}
class WithoutDecisionDto extends DecisionDto {
  @On() on: StepNameDto;
}
class UnmarkedDecisionDto extends DecisionDto {
  @Name() markId: string;
}
class HoldDecisionDto extends DecisionDto {
  @ChoiceField(MOUNT_KINDS) mount: MountKind;
}
class FinishDecisionDto extends DecisionDto {
  @TextField({ min: 1, max: 120, nullable: true }) finishId: string | null;
}
class FittingDecisionDto extends DecisionDto {
  @ChoiceField(FITTING_WAYS) way: FittingWay;
}
class DrillDecisionDto extends DecisionDto {
  @Name() holeId: string;
  @ChoiceField(DRILL_MOMENTS) moment: DrillMoment;
  @ChoiceField(DRILL_SETUPS) setup: DrillSetup;
}
class FormDecisionDto extends DecisionDto {
  @ChoiceField(STOCK_FORMS) stockForm: StockForm;
}
class DatumDecisionDto extends DecisionDto {
  @Name() markId: string;
}
class PastDecisionDto extends DecisionDto {
  @TextField({ min: 1, max: 200 }) finding: string;
}
class UsualDecisionDto extends DecisionDto {
  @Name() wayId: string;
}

/** The form of each kind of decision. */
const DECISIONS: Record<DecisionKind, new () => DecisionDto> = {
  tool: ToolDecisionDto,
  before: BeforeDecisionDto,
  grits: GritsDecisionDto,
  speed: SpeedDecisionDto,
  pace: PaceDecisionDto,
  bit: BitDecisionDto,
  depth: DepthDecisionDto,
  cure: CureDecisionDto,
  minutes: MinutesDecisionDto,
  waste: WasteDecisionDto,
  extra: ExtraDecisionDto,
  without: WithoutDecisionDto,
  unmarked: UnmarkedDecisionDto,
  hold: HoldDecisionDto,
  finish: FinishDecisionDto,
  fitting: FittingDecisionDto,
  drill: DrillDecisionDto,
  form: FormDecisionDto,
  datum: DatumDecisionDto,
  past: PastDecisionDto,
  usual: UsualDecisionDto,
};

/** What somebody decides otherwise than usual. */
export class OwnWayDto {
  @TextField({ min: 1, max: 60 }) id: string;
  @CoreType('Decision')
  @ObjectField(() => DecisionDto, { kinds: DECISIONS })
  decides: DecisionDto;
  @TextField({ max: 300 }) why: string;
  @TextField({ max: 80 }) by: string;
  @InstantField()
  at: string;
}

/** The same for all that is made in a workshop, of one wood, or of one kind. */
export class HabitDto extends OwnWayDto {
  @TextField({ min: 1, max: 60, optional: true }) materialId?: string;
  @TextField({ min: 1, max: 60, optional: true }) itemKind?: string;
}
