import type { Correction, Dimension } from '@compas/core';
import { NumberField, ObjectField, TextField } from './fields.js';

export class CorrectionDto implements Correction {
  @TextField({ max: 60 }) raw: string;
  @TextField({ max: 300 }) reason: string;
}

/** A length in mm with the text that was typed; nothing a spindle lathe holds is above 20 m. */
export class DimensionDto implements Dimension {
  @NumberField({ min: 0, max: 20_000 }) mm: number;
  @TextField({ max: 60, optional: true }) typed?: string;
  @ObjectField(() => CorrectionDto, { optional: true }) correction?: CorrectionDto;
}
