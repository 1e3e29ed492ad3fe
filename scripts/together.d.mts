export const HOOK_OF_A_FILE: RegExp;
export function dealt(roots: readonly string[], many: number): string[];
