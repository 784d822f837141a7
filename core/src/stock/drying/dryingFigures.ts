import { equilibriumMoisture, humidityFor } from '../../material/index.js';
import type { Figure } from '../../measure/index.js';
import type { Air } from '../../workshop/index.js';
import { moistureOn, type DryingForecast } from './dryingCurve.js';

/** Moisture that an air leaves in wood, with its working. */
export const airFigure = (air: Air): Figure => ({
  id: 'dry.air',
  label: 'This air leaves',
  value: equilibriumMoisture(air.temperature, air.humidity),
  unit: '%',
  working: {
    rule: 'Moisture that wood comes to when it lies long enough (Hailwood–Horrobin equation, two hydrates).',
    source: 'Wood Handbook coefficients for °C',
    inputs: [
      { label: 'temperature, °C', value: air.temperature },
      { label: 'relative humidity', value: air.humidity, unit: '%' },
    ],
  },
});

/** Humidity that leaves a wanted moisture at a temperature, with its working; null where no air does. */
export function humidityFigure(temperature: number, moisture: number): Figure | null {
  const value = humidityFor(temperature, moisture);
  return value === null
    ? null
    : {
        id: 'dry.humidity',
        label: `For ${moisture} % keep the air at`,
        value: Math.round(value),
        unit: '%',
        working: {
          rule: 'The relative humidity whose air leaves that moisture (the same equation, the other way round).',
          source: 'Wood Handbook coefficients for °C',
          inputs: [
            { label: 'temperature, °C', value: temperature },
            { label: 'wanted moisture', value: moisture, unit: '%' },
          ],
        },
      };
}

/** What the weights of a bundle say on a day after the first weighing. */
export function dryingFigures(forecast: DryingForecast, days: number): Figure[] {
  const moisture = moistureOn(forecast, days);
  const fitted = 'First-order drying fitted to the weights: W = W∞ + A·e^(−t/τ).';
  return [
    {
      id: 'dry.moisture',
      label: 'Moisture today',
      value: moisture,
      unit: '%',
      working: {
        rule: `${fitted} Moisture is the water over the weight without any.`,
        source: `weights; dry weight by ${forecast.by}`,
        inputs: [
          { label: 'weight without water', value: forecast.dryWeight, unit: 'g' },
          { label: 'at the first weighing', value: forecast.start, unit: '%' },
          { label: 'this air leaves', value: forecast.equilibrium, unit: '%' },
          { label: 'days since', value: days },
        ],
      },
    },
    {
      id: 'dry.tau',
      label: 'Two thirds of it goes in',
      value: forecast.timeConstant * 24 * 60,
      unit: 'min',
      working: {
        rule: `${fitted} After τ, 63 % of what will go has gone.`,
        source: 'least squares over the weights',
        inputs: [
          {
            label: 'loses a day now',
            value: (moisture - forecast.equilibrium) / forecast.timeConstant,
            unit: '%',
          },
        ],
      },
    },
  ];
}
