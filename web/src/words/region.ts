/** How numbers are written where the person is, in Latin digits, as all fields read them. */
export const LOCALE = `${(globalThis.navigator?.language ?? 'en').split('-u-')[0]}-u-nu-latn`;
