/** The shapes the API speaks: the season file and the result, as the core writes them. */

export type Key = string | number;
export type Path = Key[];

export interface Named { id: string; name: string }
export interface Container extends Named { sites_per_unit: number; units_per_pack: number; pack_price: number; life_seasons: number; single_use: boolean }
export interface Light extends Named { place: string; watts: number; hours_per_day: number; flats: number; price: number; life_seasons: number; owned: boolean }
export interface SeedLot { id: string; species: string; variety: string; packet_price: number; seeds_per_packet: number | null; packed_for: number }
export interface Stage { name: string; place: string; container: string | null; light: boolean; mat: boolean }
export interface Method extends Named { pattern: 'per_site' | 'community'; seeds_per_site: number; round_sites_to: number; stages: Stage[] }
export interface Offer extends Named { plants: number; price: number }
export interface Crop { id: string; lot: string; wanted: number; nursery: string[] }
export interface Setup extends Named { method: string; overrides: Record<string, string>; lights: string[]; mats: string[] }

export interface Season {
  name: string; currency: string; units: 'us' | 'metric'; year: number; confidence: number;
  electricity: { rate: number };
  containers: Container[]; lights: Light[]; species: Named[]; seed_lots: SeedLot[]; methods: Method[];
  nursery: Offer[]; crops: Crop[]; setups: Setup[];
}

export type Heads = Record<string, number>;

export interface CropResult {
  id: string; method: string; grown: boolean; warnings: string[]; sow_on: string | null; plant_out_on: string | null;
  g: number | null; seeds: number | null; sites: number | null; finished: number | null; p_enough: number | null;
  useful: number | null; surplus: number | null; heads: Heads | null; cost: number | null; per_finished: number | null;
  extra_cost: number | null; buy_cost: number | null; verdict: string | null;
}

export interface SetupResult {
  id: string; cost: number; cash_now: number; per_finished: number | null; per_wanted: number | null;
  nursery_per_plant: number | null; keep: number | null; kwh: { light: number; heat: number; appliance: number };
  crops: CropResult[];
}

export interface PennyStack {
  coin: number; total: number; groups: { group: string; amount: number; coins: number }[];
  credit: number; credit_coins: number; nursery: number | null; nursery_coins: number | null;
}

/** What stays in sight while planning: for one crop of a set-up, or for all of it. */
export interface Till { per_finished: number | null; nursery: number | null; difference: number | null; cash_now: number; kwh: number }

/** `shown`: the heads rounded so that they add up to the penny. */
export interface CropPicture { stack: PennyStack | null; till: Till; shown: Heads | null }

export interface SeasonState {
  id: number; revision: number; season: Season; result: { setups: SetupResult[] };
  pictures: Record<string, { till: Till; crops: Record<string, CropPicture> }>;
}

export interface SeasonLine { id: number; name: string; revision: number }

export interface Term { label: string; value: number | string | null; unit: string; path: Path | null; working: string | null }
export interface Working { figure: string; title: string; value: number | null; unit: string; rule: string; formula: string; terms: Term[] }

export interface Fault { path: string; problem: string; remedy: string }
export interface ProblemDetails { title: string; status: number; detail: string; faults?: Fault[] }
export interface Change { path: Path; from: unknown; to: unknown }
