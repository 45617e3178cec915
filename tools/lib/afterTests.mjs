// After all tests: what beforeTests.mjs started is stopped, and its folder removed.
export default function afterTests() {
  globalThis.tidyAfterTests?.()
}
