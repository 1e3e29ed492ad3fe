/**
 * Torque of a band on a drum (Eytelwein; any text on machine design): `self` where the drum pulls the band tighter,
 * T = F·r·(e^{μθ} − 1); against it, T = F·r·(1 − e^{−μθ}).
 * @param pull N at the servo's end @param wrap radians
 */
export function bandTorque(
  pull: number,
  radius: number,
  mu: number,
  wrap: number,
  direction: 'self' | 'against',
): number {
  const e = Math.exp(mu * wrap);
  return Math.max(0, pull) * radius * (direction === 'self' ? e - 1 : 1 - 1 / e);
}
