// The case without anything in it, as the page itself shows it before its script has run: see index.html.

export function ShellOutline() {
  return (
    <div className="outline" aria-hidden="true">
      <div className="outline-top">
        <svg viewBox="0 0 34 32">
          <path d="M12 9V6.2A3.2 3.2 0 0115.2 3h3.6A3.2 3.2 0 0122 6.2V9" />
          <rect x="2" y="8.6" width="30" height="20.4" rx="4.6" />
        </svg>
        <b>Valise</b>
      </div>
      <div className="outline-paper" />
      <div className="outline-base" />
    </div>
  )
}
