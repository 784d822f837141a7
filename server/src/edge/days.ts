import { applyDecorators } from '@nestjs/common';
import { ValidateBy } from 'class-validator';
import { TextField } from './fields.js';

/** Years that a workshop reckons with; others are slips. */
const [FIRST, LAST] = [1950, 2199];

/** A text that must hold in a way that no pattern tells. */
const Holds = (name: string, holds: (text: string) => boolean, message: string): PropertyDecorator =>
  ValidateBy({
    name,
    validator: {
      validate: (value) => typeof value === 'string' && holds(value),
      defaultMessage: () => message,
    },
  });

/** Whether the calendar has that day, `2026-02-28`. */
function isDay(text: string): boolean {
  const [year = 0, month = 0, day = 0] = text.slice(0, 10).split('-').map(Number);
  const found = new Date(Date.UTC(year, month - 1, day));
  return year >= FIRST && year <= LAST && found.getUTCMonth() === month - 1 && found.getUTCDate() === day;
}

const isTime = (text: string): boolean => {
  const [hours = 24, minutes = 60] = text.split(':').map(Number);
  return hours < 24 && minutes < 60;
};

const NO_DAY = '$property reads "$value". The calendar has no such day.';

/** A day of the calendar. */
export const DayField = (o: { nullable?: boolean } = {}): PropertyDecorator =>
  applyDecorators(
    TextField({ max: 10, pattern: /^\d{4}-\d{2}-\d{2}$/, like: '2026-03-20', ...o }),
    Holds('isDay', isDay, NO_DAY),
  );

/** A minute on the workshop's clock. */
export const MomentField = (): PropertyDecorator =>
  applyDecorators(
    TextField({ max: 16, pattern: /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, like: '2026-03-02T08:00' }),
    Holds(
      'isMoment',
      (text) => isDay(text) && isTime(text.slice(11)),
      '$property reads "$value". There is no such minute.',
    ),
  );

/** An instant, in UTC. */
export const InstantField = (o: { optional?: boolean } = {}): PropertyDecorator =>
  applyDecorators(
    TextField({ ...o, max: 30, pattern: /^\d{4}-\d{2}-\d{2}T[\d:.]+Z$/, like: '2026-03-02T08:00:00.000Z' }),
    Holds('isInstant', isInstant, '$property reads "$value". There is no such instant.'),
  );

/** Whether a text is an instant that a clock can show. */
function isInstant(text: string): boolean {
  return isDay(text) && !Number.isNaN(Date.parse(text));
}

/** A time zone that clocks here know. */
export const TimeZoneField = (): PropertyDecorator =>
  applyDecorators(
    TextField({ max: 60, min: 1, pattern: /^[A-Za-z_]+(\/[A-Za-z_+\-0-9]+)*$/, like: 'Europe/Berlin' }),
    Holds(
      'isTimeZone',
      isTimeZone,
      '$property reads "$value". No clock here knows that zone. Give it like Europe/Berlin.',
    ),
  );

function isTimeZone(text: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: text }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}
