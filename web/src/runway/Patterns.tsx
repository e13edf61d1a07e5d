/** Textures: dots cure, waves are outside, dashes run in, hatching is over. */
export function Patterns() {
  return (
    <defs>
      <pattern id="cure" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--card)" />
        <circle cx="2" cy="2" r="1.1" fill="var(--ink)" />
        <circle cx="5.5" cy="5.5" r="1.1" fill="var(--ink)" />
      </pattern>
      <pattern id="waves" width="16" height="7" patternUnits="userSpaceOnUse">
        <rect width="16" height="7" fill="var(--card)" />
        <path d="M0 4.5 Q4 0.5 8 4.5 T16 4.5" fill="none" stroke="var(--ink)" strokeWidth="1" />
      </pattern>
      <pattern id="run" width="10" height="10" patternUnits="userSpaceOnUse">
        <rect width="10" height="10" fill="var(--quiet-soft)" />
        <path d="M2 2 L6 5 L2 8" fill="none" stroke="var(--card)" strokeWidth="1.6" />
      </pattern>
      <pattern id="over" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--card)" />
        <rect width="2" height="6" fill="var(--hot)" />
      </pattern>
    </defs>
  )
}
