import {
  BATCHING_SCHOOLS,
  DRILL_MOMENTS,
  keysOf,
  SPEED_SCHOOLS,
  UNITS,
  type WorkingWindow,
  type Workshop,
} from '@compas/core';
import { Button, Input, InputNumber, Select, TimePicker } from 'antd';
import dayjs from 'dayjs';
import { LengthInput } from '../ui/LengthInput.js';
import { choicesOf } from '../ui/choices.js';
import { OwnHabits } from './OwnHabits.js';
import { ALLOWANCE_WORDS, BAND_WORDS, HABIT_WORDS, SCHOOL_WORDS } from './words.js';

interface SectionProps {
  workshop: Workshop;
  onChange: (workshop: Workshop) => void;
}

/** Habits: units, schools, allowances. */
export function HabitsSection({ workshop, onChange }: SectionProps) {
  const { allowances, schools, speedBand } = workshop;
  return (
    <section className="equipment column">
      <h2>Habits</h2>
      <div className="row fields">
        <label>
          {HABIT_WORDS.units}
          <Select
            aria-label={HABIT_WORDS.units}
            value={workshop.units}
            className="w-name"
            onChange={(units) => onChange({ ...workshop, units })}
            options={choicesOf(UNITS)}
          />
        </label>
        <label>
          {SCHOOL_WORDS.speed}
          <Select
            aria-label={SCHOOL_WORDS.speed}
            value={schools.speed}
            className="w-phrase"
            onChange={(speed) => onChange({ ...workshop, schools: { ...schools, speed } })}
            options={choicesOf(SPEED_SCHOOLS)}
          />
        </label>
        <label>
          {SCHOOL_WORDS.batching}
          <Select
            aria-label={SCHOOL_WORDS.batching}
            value={schools.batching}
            className="w-name"
            onChange={(batching) => onChange({ ...workshop, schools: { ...schools, batching } })}
            options={choicesOf(BATCHING_SCHOOLS)}
          />
        </label>
        <label>
          {SCHOOL_WORDS.drilling}
          <Select
            aria-label={SCHOOL_WORDS.drilling}
            value={schools.drilling ?? 'square blank'}
            className="w-name"
            onChange={(drilling) => onChange({ ...workshop, schools: { ...schools, drilling } })}
            options={DRILL_MOMENTS.map((m) => ({
              value: m,
              label: m === 'square blank' ? 'in the square blank' : m,
            }))}
          />
        </label>
        {(['low', 'high'] as const).map((end) => (
          <label key={end}>
            {BAND_WORDS[end]}
            <InputNumber
              value={speedBand[end]}
              min={1000}
              max={2_000_000}
              step={5000}
              className="w-word"
              onChange={(n) => n !== null && onChange({ ...workshop, speedBand: { ...speedBand, [end]: n } })}
            />
          </label>
        ))}
      </div>
      <div className="row fields">
        {keysOf(ALLOWANCE_WORDS).map((key) => (
          <LengthInput
            key={key}
            label={ALLOWANCE_WORDS[key]}
            showLabel
            value={{ mm: allowances[key] }}
            onChange={({ mm }) => onChange({ ...workshop, allowances: { ...allowances, [key]: mm } })}
          />
        ))}
      </div>
      <OwnHabits workshop={workshop} onChange={onChange} />
    </section>
  );
}

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const CLOCK = 'HH:mm';
const toClock = (minutes: number) => dayjs().startOf('day').add(minutes, 'minute');
const toMinutes = (at: dayjs.Dayjs) => at.hour() * 60 + at.minute();

/** A morning for a day without hours; after the last span of the day an hour's rest, then half a day. */
function nextSpan(windows: readonly WorkingWindow[], weekday: number): WorkingWindow {
  const ends = windows.filter((w) => w.weekday === weekday).map((w) => w.to);
  if (ends.length === 0) return { weekday, from: 480, to: 720 };
  const from = Math.min(Math.max(...ends) + 60, DAY_END - 60);
  return { weekday, from, to: Math.min(from + 240, DAY_END) };
}

/** Last minute of a day that a span may end at. */
const DAY_END = 24 * 60 - 1;

/** Working hours by weekday; a day can have several spans. */
export function HoursSection({ workshop, onChange }: SectionProps) {
  const { hours } = workshop;
  const setWindows = (windows: typeof hours.windows) =>
    onChange({ ...workshop, hours: { ...hours, windows } });
  return (
    <section className="equipment column">
      <h2>Working hours</h2>
      <label className="fields">
        Time zone
        <Input
          value={hours.timeZone}
          className="w-phrase"
          maxLength={60}
          onChange={(e) => onChange({ ...workshop, hours: { ...hours, timeZone: e.target.value } })}
        />
      </label>
      {DAYS.map((day, i) => {
        const weekday = i + 1;
        return (
          <div key={day} className="row">
            <span className="w-date">{day}</span>
            {hours.windows.map((w, index) =>
              w.weekday !== weekday ? null : (
                <span key={index} className="row gap-hair">
                  <TimePicker.RangePicker
                    format={CLOCK}
                    minuteStep={5}
                    allowClear={false}
                    value={[toClock(w.from), toClock(w.to)]}
                    onChange={(range) => {
                      const [from, to] = range ?? [];
                      if (from && to)
                        setWindows(
                          hours.windows.map((x, j) =>
                            j === index ? { ...x, from: toMinutes(from), to: toMinutes(to) } : x,
                          ),
                        );
                    }}
                  />
                  <Button
                    type="text"
                    aria-label={`Take away a span on ${day}`}
                    onClick={() => setWindows(hours.windows.filter((_, j) => j !== index))}
                  >
                    ✕
                  </Button>
                </span>
              ),
            )}
            <Button
              size="small"
              aria-label={`Add a span on ${day}`}
              onClick={() => setWindows([...hours.windows, nextSpan(hours.windows, weekday)])}
            >
              + span
            </Button>
          </div>
        );
      })}
    </section>
  );
}
