/** Quotes and lists inside each other beyond this are shown as plain text: no reader follows them, and no parser need. */
const MOST_NESTED = 30;

const MARKER = /[ \t]*(?:>|[-+*](?=[ \t])|\d{1,9}[.)](?=[ \t]))[ \t]?/y;

/** Whether quotes and lists of a Markdown text stand too deep inside each other to be laid out. */
export function tooDeep(markdown: string): boolean {
  return markdown.split('\n').some((line) => {
    let depth = 0;
    MARKER.lastIndex = 0;
    while (MARKER.test(line)) if (++depth > MOST_NESTED) return true;
    return /^[ \t]*/.exec(line)![0].length > 4 * MOST_NESTED;
  });
}
