const DEFAULT_PORT = 3000;
const MOST = 65535;

/**
 * @param asked what the environment says, if anything
 * @returns the port, or `null` where none can be meant by that
 */
export function portFrom(asked: string | undefined): number | null {
  if (asked === undefined) return DEFAULT_PORT;
  const port = asked.trim() === '' ? NaN : Number(asked);
  return Number.isInteger(port) && port >= 0 && port <= MOST ? port : null;
}
