import { UNITS, type Units } from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import { ROLES, type Role } from '../database/workshopTransaction.js';
import { TimeZoneField } from '../edge/days.js';
import { ChoiceField, IdField, TextField } from '../edge/fields.js';

const EMAIL = { max: 200, min: 3, pattern: /^[^\s@]+@[^\s@]+$/, like: 'name@workshop.example' };

export class SignInDto {
  @TextField(EMAIL) email: string;
  @TextField({ max: 200, min: 1 }) password: string;
}

export class NewPasswordDto {
  /** the one until now */
  @TextField({ max: 200, min: 1 }) old: string;
  @TextField({ max: 200, min: 10 }) password: string;
}

export class NewPersonDto {
  @TextField({ max: 80, min: 1 }) name: string;
  @TextField(EMAIL) email: string;
  @TextField({ max: 200, min: 10 }) password: string;
}

export class NewWorkshopDto {
  @TextField({ max: 80, min: 1 }) workshop: string;
  @TimeZoneField()
  timeZone: string;
  @ChoiceField(UNITS) units: Units;
}

export class NewAccountDto extends NewPersonDto {
  @TextField({ max: 80, min: 1 }) workshop: string;
  @TimeZoneField()
  timeZone: string;
  @ChoiceField(UNITS) units: Units;
}

export class EnterWorkshopDto {
  @IdField() workshopId: string;
}

export class NewInviteDto {
  @ChoiceField(ROLES) role: Role;
}

export class InviteView {
  @ApiProperty() workshop: string;
  @ApiProperty({ enum: ROLES }) role: Role;
}

export class InviteLinkView {
  /** shown once; only its hash is kept */
  @ApiProperty() token: string;
  @ApiProperty() expiresAt: string;
}

export class OpenInviteView {
  @ApiProperty() id: string;
  @ApiProperty({ enum: ROLES }) role: Role;
  @ApiProperty() expiresAt: string;
}

export class RecorderView {
  @ApiProperty() id: string;
  /** shown once; only its hash is kept */
  @ApiProperty() secret: string;
}

/** One place at which somebody is signed in. */
export class SignInView {
  @ApiProperty() since: string;
  @ApiProperty({ description: 'this one' }) here: boolean;
}

export class MemberView {
  @ApiProperty() id: string;
  @ApiProperty() name: string;
  @ApiProperty() email: string;
  @ApiProperty({ enum: ROLES }) role: Role;
}

export class WorkshopChoiceView {
  @ApiProperty() id: string;
  @ApiProperty() name: string;
  @ApiProperty({ enum: ROLES }) role: Role;
}

export class SessionView {
  @ApiProperty({ nullable: true, type: String }) userId: string | null;
  @ApiProperty({ nullable: true, type: String }) userName: string | null;
  @ApiProperty({ nullable: true, type: String }) workshopId: string | null;
  @ApiProperty({ type: [WorkshopChoiceView] }) workshops: WorkshopChoiceView[];
  /** of the database: another one after a restore, when what a tablet sent may be gone */
  @ApiProperty() life: string;
  /** whether a demo workshop can be entered */
  @ApiProperty() demo: boolean;
  /** whether anybody may begin a workshop */
  @ApiProperty() signUp: boolean;
}
