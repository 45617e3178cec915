// A short name for a value, the same wherever it is computed.

const PRIME = 0x1_00_00_00_01_b3n
const BASIS = 0xcb_f2_9c_e4_84_22_23_25n

/**
 * Hashes a value by FNV-1a with 64 bits (draft-eastlake-fnv), over the UTF-8 bytes of its JSON. It tells values apart that
 * are not made to collide; it protects nothing.
 *
 * @param salt another one gives another hash of the same value
 */
export function fnv1a(value: unknown, salt = 0): bigint {
  const bytes = new TextEncoder().encode(JSON.stringify([salt, value]))
  return bytes.reduce((hash, byte) => BigInt.asUintN(64, (hash ^ BigInt(byte)) * PRIME), BASIS)
}
