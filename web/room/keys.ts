/** Keys that this device was given: a reload, or a phone that slept, falls back into its place. */

export interface StudentPlace {
  readonly key: string;
  /** The record that goes on. */
  readonly attempt: string;
}

const read = <T>(name: string): T | null => {
  try {
    const text = localStorage.getItem(name);
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    return null;
  }
};
const write = (name: string, value: unknown): void => {
  try {
    localStorage.setItem(name, JSON.stringify(value));
  } catch {
    // A browser that keeps nothing: it lasts as long as the page.
  }
};

export const hostKeyOf = (code: string): string | null => read<string>(`room host ${code}`);
export const keepHostKey = (code: string, key: string): void => write(`room host ${code}`, key);
export const placeIn = (code: string): StudentPlace | null =>
  read<StudentPlace>(`room student ${code}`);
export const keepPlace = (code: string, place: StudentPlace): void =>
  write(`room student ${code}`, place);
export const leavePlace = (code: string): void => {
  try {
    localStorage.removeItem(`room student ${code}`);
  } catch {
    // Nothing was kept.
  }
};
