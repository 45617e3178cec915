// Our own drawing for concealing: a bar over lines of writing.
export function RedactIcon({ size = 18 }: { readonly size?: number; readonly stroke?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.7"
      aria-hidden
    >
      <path d="M4 5h16M4 19h10" strokeLinecap="round" />
      <path d="M4 9.2h16v5.6H4z" fill="currentColor" />
    </svg>
  )
}
