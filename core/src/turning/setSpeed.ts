import type { Finding } from '../measure/index.js';
import type { Lathe } from '../workshop/index.js';
import type { SpeedChoice } from './speed.js';

/** What a speed that somebody sets is held against, rpm. */
export interface SpeedLimits {
  partId: string;
  lathe: Lathe;
  /** fastest the fixture may turn */
  fastest: number;
}

/** A good deal above what the school takes: said, for unbalanced work shakes first. */
const WELL_ABOVE = 1.3;

/** A speed as somebody sets it, and what speaks against it: limits of lathe and fixture are Stops. */
export function setSpeed(
  usual: SpeedChoice,
  rpm: number,
  limits: SpeedLimits,
): { speed: SpeedChoice; findings: Finding[] } {
  const { figure } = usual;
  const speed: SpeedChoice = {
    ...usual,
    rpm,
    surfaceSpeed: usual.rpm === null ? 0 : (usual.surfaceSpeed / Math.max(1, usual.rpm)) * rpm,
    words: `${rpm} rpm`,
    instead: usual.rpm,
    figure: {
      ...figure,
      value: rpm,
      working: {
        ...figure.working,
        inputs: [...figure.working.inputs, { label: 'set by hand', value: rpm, unit: 'rpm' }],
      },
    },
  };
  const { stage, wish } = usual;
  return {
    speed,
    findings: againstSpeed({ id: stage.replaceAll(' ', '-'), to: `To ${stage}`, wish }, rpm, limits),
  };
}

/** What somebody sets a speed for: a name for its findings, how it is said, and what is usual there, rpm. */
interface SpeedSetFor {
  id: string;
  to: string;
  wish: number;
}

/** What speaks against a speed that is set: the fixture, the lathe, or how much faster it is than usual. */
export function againstSpeed({ id, to, wish }: SpeedSetFor, rpm: number, limits: SpeedLimits): Finding[] {
  const { partId, lathe, fastest } = limits;
  const say = (severity: Finding['severity'], what: string, why: string, remedy: string): Finding => ({
    id: `turn.speed.set.${partId}.${id}`,
    severity,
    stage: 'turn',
    partId,
    what,
    why,
    remedy,
  });
  if (rpm > fastest)
    return [
      say(
        'stop',
        `${to} at ${rpm} rpm is faster than its holding may turn.`,
        `Its limit is ${fastest} rpm: above it jaws open and things fly.`,
        `Set ${fastest} rpm or less.`,
      ),
    ];
  const impossible = notOn(lathe, rpm);
  if (impossible !== null)
    return [say('warn', `${to}: the lathe does not turn at ${rpm} rpm.`, impossible, 'Set one that it has.')];
  if (rpm > WELL_ABOVE * wish)
    return [
      say(
        'warn',
        `${to} at ${rpm} rpm is well above the ${wish} rpm of the school.`,
        'What is out of balance shakes, and a catch tears more.',
        'Begin slower, and raise it only as long as nothing shakes.',
      ),
    ];
  return [];
}

function notOn({ drive }: Lathe, rpm: number): string | null {
  switch (drive.kind) {
    case 'pulleys':
      return drive.speeds.includes(rpm) ? null : `Its belt gives ${drive.speeds.join(', ')} rpm.`;
    case 'range':
      return rpm >= drive.slowest && rpm <= drive.fastest
        ? null
        : `It turns from ${drive.slowest} to ${drive.fastest} rpm.`;
    case 'treadle':
      return 'It has no motor.';
  }
}
