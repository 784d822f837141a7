/** A ball that rests on the bottom of its hole, and how far it sinks below the rim. mm */
export interface SeatedBall {
  diameter: number;
  sinks: number;
}

/** A bit hardly enters by less, mm. */
const LEAST = 0.2;

/**
 * Depth to the shoulder at which a ball of radius R comes to rest so that it sinks s below the rim of a hole of diameter b
 * with a cone of half angle α for its bottom. It touches the cone where its centre lies R ÷ sin α above the apex, which lies
 * b/2 ÷ tan α below the shoulder: D = s − R + R/sin α − b/(2 tan α); on a flat bottom D = s (elementary geometry).
 * @param pointAngle full angle of the point, degrees; 180 is flat
 * @returns mm, never less than a bit can be felt to enter
 */
export function seatDepth({ diameter, sinks }: SeatedBall, bore: number, pointAngle: number): number {
  if (pointAngle >= 180) return Math.max(LEAST, sinks);
  const [radius, half] = [diameter / 2, (pointAngle * Math.PI) / 360];
  return Math.max(LEAST, sinks - radius + radius / Math.sin(half) - bore / (2 * Math.tan(half)));
}
