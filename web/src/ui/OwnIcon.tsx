// The drawings of our own beside the icon set, from tokens.json.

interface OwnIconProps {
  readonly name: 'pick' | 'pickf' | 'noalt'
  readonly size?: number
}

/** Our own icons: the case, outlined or filled; a caption with a gap for a missing description. */
export function OwnIcon({ name, size = 18 }: OwnIconProps) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.7"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      {name === 'noalt' ? (
        <path d="M4 4.5h16v9H4zM7 13.5l4-4 3.5 4M4 18.5h4.5M15.5 18.5H20" />
      ) : (
        <>
          <path d="M9 7V5.6A1.6 1.6 0 0110.6 4h2.8A1.6 1.6 0 0115 5.6V7" />
          <rect
            x="3.5"
            y="7"
            width="17"
            height="12.6"
            rx="3"
            {...(name === 'pickf' && { fill: 'currentColor' })}
          />
          <path d="M7.2 10.6 12 16.4l4.8-5.8" {...(name === 'pickf' && { stroke: 'var(--pick-v)' })} />
        </>
      )}
    </svg>
  )
}
