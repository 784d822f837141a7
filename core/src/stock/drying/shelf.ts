import type { Finding } from '../../measure/index.js';
import { dayAfter, moistureOn, type DryingForecast } from './dryingCurve.js';

/** How wet wood is dealt with: finished green and left to move, detailed half dry, or dried and re-turned. */
export const DRYING_SCHOOLS = {
  green: {
    name: 'Finish green, then rest',
    words: 'Turned to size while wet, walls even; it becomes oval and may stay so.',
  },
  'half-dry': {
    name: 'Half dry',
    words: 'Shaped green, detailed at about a fifth of moisture, rested, then finished.',
  },
  dry: {
    name: 'Dry fully and re-turn',
    words: 'Roughed oversize, dried to the end, turned again to round.',
  },
} as const;
export type DryingSchool = keyof typeof DRYING_SCHOOLS;

/** Wetter than this it is cut green; at half dry it still cuts sweetly but moves little more, %. */
const GREEN = 25;
const HALF_DRY = 20;

export type DryingVerdict = 'turn now' | 'half dry: detail today' | 'not yet';

/** What may be done on a day by a school, and why. */
export function dryingVerdict(
  school: DryingSchool,
  moisture: number,
  target: number,
): { verdict: DryingVerdict; why: string } {
  const now = `${moisture.toFixed(1)} % moisture`;
  if (moisture <= target) return { verdict: 'turn now', why: `${now}: it is as dry as it was meant to be.` };
  if (school === 'green' && moisture >= GREEN)
    return {
      verdict: 'turn now',
      why: `${now}: still green, it cuts in long shavings. Seal it when it comes off.`,
    };
  if (school === 'half-dry' && moisture <= HALF_DRY)
    return {
      verdict: 'half dry: detail today',
      why: `${now}: most of its movement is behind it; rest it again before the finish.`,
    };
  return {
    verdict: 'not yet',
    why:
      school === 'green'
        ? `${now}: it is moving now. Wait until it is ${target} %.`
        : school === 'half-dry'
          ? `${now}: above ${HALF_DRY} % details would move with it.`
          : `${now}: it would go oval after the last cut.`,
  };
}

/** The day on which each school lets one go on; null when the air never gets it there. */
export function schoolDays(
  firstDay: string,
  forecast: DryingForecast,
): { school: DryingSchool; day: string | null }[] {
  const until = (moisture: number): string | null => {
    if (forecast.start <= moisture) return firstDay;
    if (moisture <= forecast.equilibrium) return null;
    const share = (moisture - forecast.equilibrium) / (forecast.start - forecast.equilibrium);
    return dayAfter(firstDay, -forecast.timeConstant * Math.log(share));
  };
  return [
    { school: 'green', day: forecast.start >= GREEN ? firstDay : readyDay(firstDay, forecast) },
    { school: 'half-dry', day: until(HALF_DRY) },
    { school: 'dry', day: readyDay(firstDay, forecast) },
  ];
}

/** Day on which the target is reached, or null when this air never gets it there. */
const readyDay = (firstDay: string, forecast: DryingForecast): string | null =>
  forecast.ready === null ? null : dayAfter(firstDay, Math.ceil(forecast.ready.days));

/** Loses more than this a day while it is wet, and the ends check, %. */
const FAST = 2;

/** Cautions for wood on the drying shelf on a day. */
export function dryingFindings(
  id: string,
  label: string,
  forecast: DryingForecast,
  days: number,
  target: number,
): Finding[] {
  const moisture = moistureOn(forecast, days);
  const loss = (moisture - forecast.equilibrium) / forecast.timeConstant;
  const find = (
    kind: string,
    severity: Finding['severity'],
    what: string,
    why: string,
    remedy: string,
  ): Finding => ({
    id: `stock.drying.${kind}.${id}`,
    severity,
    stage: 'stock',
    what: `${label}: ${what}`,
    why,
    remedy,
  });
  const found: Finding[] = [];
  if (target <= forecast.equilibrium)
    found.push(
      find(
        'never',
        'stop',
        `this air leaves it at ${forecast.equilibrium.toFixed(1)} %; ${target} % is never reached here.`,
        'Wood comes to rest with the air around it.',
        `Set the target above ${Math.ceil(forecast.equilibrium)} %, or dry it in a drier place.`,
      ),
    );
  if (moisture > GREEN)
    found.push(
      find(
        'ends',
        'note',
        'seal the end grain.',
        'Ends dry ten times faster than sides and check first.',
        'Wax or old paint on both ends; leave the sides open.',
      ),
    );
  if (moisture > HALF_DRY && loss > FAST)
    found.push(
      find(
        'fast',
        'warn',
        `it loses ${loss.toFixed(1)} % a day.`,
        `More than about ${FAST} % a day while it is wet cracks it (typical, unchecked).`,
        'Wrap it in paper or lay it in its shavings, out of draught and sun.',
      ),
    );
  return found;
}
