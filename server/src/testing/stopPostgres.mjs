// Stops the PostgreSQL that startPostgres.mjs started.
export default function stopPostgres() {
  globalThis.stopTestPostgres?.()
}
