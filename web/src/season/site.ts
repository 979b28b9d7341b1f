import type { Container, Crop, CropResult, Method, Season, SeedLot, Species } from '../api/types';

/** Everything a line of the list speaks of. */
export interface LineFacts {
  lot: SeedLot;
  species: Species | undefined;
  method: Method | undefined;
  site: string;
  /** The method, or "nursery", by which the set-up goes about it, whether that works or not. */
  raised: string;
}

/** What one site of a method is called: a cell, a pot, a spot in the bed. */
export const siteName = (method: Method | undefined, containers: Map<string, Container>): string =>
  siteIn(containers.get(method?.stages[0]?.container ?? ''));

/** What one site of a container is called. */
export function siteIn(container: Container | undefined): string {
  if (container === undefined) return 'spot';
  const named = ['block', 'pellet', 'jug', 'tube'].find((word) => container.name.toLowerCase().includes(word));
  return container.sites_per_unit > 1 ? 'cell' : (named ?? 'pot');
}

/** Rows by id, looked up once for a whole list. */
export function factsOf(season: Season) {
  const lots = new Map(season.seed_lots.map((row) => [row.id, row]));
  const species = new Map(season.species.map((row) => [row.id, row]));
  const methods = new Map(season.methods.map((row) => [row.id, row]));
  const containers = new Map(season.containers.map((row) => [row.id, row]));
  return (crop: Crop, result: CropResult | undefined): LineFacts | null => {
    const lot = lots.get(crop.lot);
    const method = methods.get(result?.method ?? '');
    return lot === undefined || result === undefined
      ? null
      : { lot, species: species.get(lot.species), method, site: siteName(method, containers), raised: result.method };
  };
}

/** What people call a crop: its variety. */
export const varietyOf = (season: Season, crop: string): string => {
  const lot = season.crops.find(({ id }) => id === crop)?.lot;
  return season.seed_lots.find(({ id }) => id === lot)?.variety ?? crop;
};

/** What a packet is of: "Tomato". */
export function speciesOf(season: Season, lot: string): string | undefined {
  const species = season.seed_lots.find(({ id }) => id === lot)?.species;
  return season.species.find(({ id }) => id === species)?.name;
}

/** A crop's species, to stand beside its variety: "tomato"; null where the variety's name says it already. */
export function speciesBeside(season: Season, crop: string): string | null {
  const lot = season.crops.find(({ id }) => id === crop)?.lot;
  const species = lot === undefined ? undefined : speciesOf(season, lot)?.toLowerCase();
  return species === undefined || varietyOf(season, crop).toLowerCase().includes(species) ? null : species;
}
