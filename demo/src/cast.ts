// The people of the made-up world. All names are invented.

export interface CastMember {
  readonly fullName: string
  readonly signInName: string
  /** What they are in the sample, for the sign-in screen. */
  readonly about?: string
}

/** Named people come first on the sign-in screen, in this order. */
export const cast = {
  wren: {
    fullName: 'Wren Adeyemi-Holt',
    signInName: 'wren',
    about: 'Student, Certificate. Has done the most.',
  },
  tomasz: {
    fullName: 'Tomasz Ilves-Barr',
    signInName: 'tomasz',
    about: 'Student, Certificate. Half-way through.',
  },
  sefa: { fullName: 'Sefa Marlowe', signInName: 'sefa', about: 'Student, Certificate. Just starting.' },
  juno: {
    fullName: 'Juno Castellane',
    signInName: 'juno',
    about: 'Student, Foundation, in Shore Methods too.',
  },
  odalys: { fullName: 'Odalys Fenn', signInName: 'odalys', about: 'Assessor of Shore Methods.' },
  rufus: {
    fullName: 'Rufus Brandt-Osei',
    signInName: 'rufus',
    about: 'Second assessor; leads Saturday Crew.',
  },
  mireille: { fullName: 'Mireille Sund', signInName: 'mireille', about: 'Administrator.' },
  nell: { fullName: 'Nell Quillan-Day', signInName: 'nell.q', about: 'Junior in Saturday Crew.' },
} as const satisfies Record<string, CastMember>

/** Twelve more students of Shore Methods. */
export const moreInShoreMethods = [
  'Bram Kestrel-Roy',
  'Dov Oakhanger',
  'Ines Mallow',
  'Lio Fairweather-Sato',
  'Nell Sorrel',
  'Pia Arran-Vale',
  'Marit Okonjo-Lind',
  'Callum Vess',
  'Yara Benedetti-Moss',
  'Anselm Tidewell',
  'Hana Brackwater',
  'Oskar Penhallow',
] as const

/** Seventeen more in Saturday Crew, aged nine to twelve; with Nell they are eighteen. */
export const moreInSaturdayCrew = [
  'Abel Finch-Amara',
  'Bea Lanternwood',
  'Cosmo Reedling',
  'Dita Marshmann',
  'Elio Sandpiper-Cruz',
  'Fern Abernathy-Ruiz',
  'Gus Wickerley',
  'Hetty Oyelaran',
  'Ivo Saltmarsh',
  'Jory Plover-Keane',
  'Kaia Dunlin',
  'Luca Sedgewick',
  'Mina Thriftley',
  'Noor Cobbleton',
  'Otis Samphire',
  'Priya Longshore',
  'Quill Estrada-Hay',
] as const
