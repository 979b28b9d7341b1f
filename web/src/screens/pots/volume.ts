import { inUnit, type Unit } from '../../words/units';
import { LOCALE } from '../../words/region';

const tidy = (value: number): string =>
  value.toLocaleString(LOCALE, { maximumFractionDigits: value < 1 ? 2 : value < 20 ? 1 : 0 });

/** A filling as people say it: "1.3 fl oz", "0.45 L". */
export const smallVolume = (litres: number, us: boolean): string =>
  us ? `${tidy(inUnit(litres, 'fl oz'))} fl oz` : litres < 0.1 ? `${tidy(litres * 1000)} ml` : `${tidy(litres)} L`;

/** Mix by the bag: quarts or litres. */
export const mixVolume = (litres: number, us: boolean): string => (us ? `${tidy(inUnit(litres, 'qt'))} qt` : `${tidy(litres)} L`);

export const mixUnit = (us: boolean): Unit => (us ? 'qt' : 'L');
