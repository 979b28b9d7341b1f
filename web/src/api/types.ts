import type { components } from './schema.generated';

/** The shapes the API speaks, by short names. All of them are generated from the server's code. */
type Shapes = components['schemas'];

export type Path = (string | number)[];

export type Season = Shapes['Season'];
export type Crop = Season['crops'][number];
export type SeedLot = Season['seed_lots'][number];
export type Species = Season['species'][number];
export type Method = Season['methods'][number];
export type Container = Season['containers'][number];
export type Setup = Season['setups'][number];

export type SeasonState = Shapes['SeasonState'];
export type SeasonLine = Shapes['SeasonLine'];
export type NewCrops = Shapes['NewCrops'];
export type SetupResult = Shapes['SetupResult'];
export type CropResult = Shapes['CropResult'];
export type SetupPicture = Shapes['SetupPicture'];
export type CropPicture = Shapes['CropPicture'];
export type TillMove = Shapes['TillMove'];
export type CropLine = Shapes['CropLine'];
export type PennyStack = Shapes['PennyStack'];
export type Till = Shapes['Till'];
export type Heads = CropResult['heads'];
export type Term = Shapes['Term'];
export type Choice = Shapes['CropChoice'];
export type Warned = Shapes['Warned'];
export type SpeciesFacts = Shapes['SpeciesFacts'];
export type PriceLevel = Shapes['PriceLevel'];
export type Work = Shapes['Work'];
export type Growth = Shapes['Growth'];
export type GrownStage = Shapes['GrownStage'];
export type Bench = Shapes['Bench'];
export type BenchPlace = Shapes['BenchPlace'];
export type ThingUse = Shapes['ThingUse'];
export type Potting = Shapes['Potting'];
export type MixWay = Shapes['MixWay'];
export type ShoppingState = Shapes['ShoppingState'];
export type ShoppingItem = ShoppingState['shopping']['items'][number];
export type Purchase = ShoppingState['purchases'][number];
export type NewPurchase = Shapes['NewPurchase'];
export type PriceTableRead = Shapes['PriceTableRead'];
export type Supply = Season['supplies'][number];
export type Place = Season['places'][number];
export type Compared = Shapes['Compared'];
export type SetupYears = Shapes['SetupYears'];
export type Calendar = Shapes['Calendar'];
export type BenchDays = Shapes['BenchDays'];
export type Task = Shapes['Task'];
export type Fault = Shapes['Fault'];
export type Problem = Shapes['Problem'];
export type Conflict = Shapes['Conflict'];
export type Change = Shapes['Change'];
