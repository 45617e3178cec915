// What a trial finds out: one line of the table each.

export interface Finding {
  readonly what: string
  readonly measured: string
  readonly wanted: string
  readonly isFine: boolean
}

export interface Trial {
  readonly name: string
  run(): Promise<Finding[]>
}

export function finding(what: string, measured: string | number, wanted: string, isFine: boolean): Finding {
  return { what, measured: String(measured), wanted, isFine }
}
