/** What a finger presses is so wide at least, px (WCAG 2.2, 2.5.5; published). */
export const FINGERTIP = 44;
