/** Partly right: half a disc, as in the class book. */
export const HalfDisc = () => (
  <svg className="half-disc" width="1em" height="1em" viewBox="0 0 16 16" aria-hidden="true">
    <circle cx="8" cy="8" r="6.6" fill="none" stroke="currentColor" strokeWidth="1.8" />
    <path d="M8 1.4A6.6 6.6 0 0 0 8 14.6Z" fill="currentColor" />
  </svg>
);
