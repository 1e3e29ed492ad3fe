/** The program's own mark: a sprocket with eight square teeth. */
export function SprocketMark({ size = 26 }: { size?: number }) {
  const teeth = Array.from({ length: 8 }, (_, k) => k * 45);
  return (
    <svg width={size} height={size} viewBox="-50 -50 100 100" aria-hidden="true">
      <g fill="currentColor">
        {teeth.map((angle) => (
          <path key={angle} d="M-8-47h16l4 16h-24z" transform={`rotate(${angle})`} />
        ))}
        <path
          fillRule="evenodd"
          d="M0-36a36 36 0 1 1 0 72 36 36 0 1 1 0-72zM0-14a14 14 0 1 0 0 28 14 14 0 1 0 0-28z"
        />
      </g>
    </svg>
  );
}
