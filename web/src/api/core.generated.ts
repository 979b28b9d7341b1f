// Made by bin/docs from the core.

/** Cost heads in the trade's words. */
export const HEADS = {
    "seed": "Seed",
    "mix": "Mix",
    "top_dressing": "Top dressing",
    "feed": "Feed",
    "extras": "Labels and other extras",
    "containers": "Pots and trays",
    "prep": "Washing pots",
    "light_power": "Power for light",
    "heat_power": "Power for heat",
    "appliance_power": "Power for fans and hot water",
    "heat_credit": "Heat you did not have to buy",
    "lights": "Lamps, a season’s share",
    "mats": "Mats, a season’s share",
    "appliances": "Fans and the like, a season’s share",
    "gear": "Shelf and gear, a season’s share",
    "nursery": "Bought plants"
} as const;

/** Groups of heads, as the penny stack's legend reads from the top. */
export const GROUPS = {
    "bought": "Bought plants",
    "sundries": "Shelf and sundries",
    "heat": "Heat",
    "light": "Light",
    "pots": "Pots",
    "mix": "Mix and feed",
    "seed": "Seed"
} as const;

/** Kinds of things: the season's list, its keys of a name, a price and how big one is; what they are called together; kept in the shed. */
export const KINDS = {
    "seed": {
        "list": "seed_lots",
        "name": "variety",
        "price": "packet_price",
        "size": "seeds_per_packet",
        "words": "Seed",
        "kept": true
    },
    "supply": {
        "list": "supplies",
        "name": "name",
        "price": "pack_price",
        "size": "pack_amount",
        "words": "Mix, feed and labels",
        "kept": true
    },
    "container": {
        "list": "containers",
        "name": "name",
        "price": "pack_price",
        "size": "units_per_pack",
        "words": "Pots and trays of cells",
        "kept": true
    },
    "trayware": {
        "list": "trayware",
        "name": "name",
        "price": "price",
        "size": null,
        "words": "Trays and covers",
        "kept": true
    },
    "light": {
        "list": "lights",
        "name": "name",
        "price": "price",
        "size": "watts",
        "words": "Lamps",
        "kept": true
    },
    "mat": {
        "list": "mats",
        "name": "name",
        "price": "price",
        "size": "watts",
        "words": "Mats",
        "kept": true
    },
    "appliance": {
        "list": "appliances",
        "name": "name",
        "price": "price",
        "size": "watts",
        "words": "Fans and the like",
        "kept": true
    },
    "gear": {
        "list": "gear",
        "name": "name",
        "price": "price",
        "size": null,
        "words": "Shelves and tools",
        "kept": true
    },
    "nursery": {
        "list": "nursery",
        "name": "name",
        "price": "price",
        "size": "plants",
        "words": "Nursery",
        "kept": false
    },
    "trip": {
        "list": null,
        "name": "name",
        "price": "nursery_trip_cost",
        "size": null,
        "words": "Nursery",
        "kept": false
    }
} as const;

/** Decimals of currencies that have not two (ISO 4217). */
export const PLACES = {
    "BIF": 0,
    "CLP": 0,
    "DJF": 0,
    "GNF": 0,
    "ISK": 0,
    "JPY": 0,
    "KMF": 0,
    "KRW": 0,
    "PYG": 0,
    "RWF": 0,
    "UGX": 0,
    "VND": 0,
    "VUV": 0,
    "XAF": 0,
    "XOF": 0,
    "XPF": 0,
    "BHD": 3,
    "IQD": 3,
    "JOD": 3,
    "KWD": 3,
    "LYD": 3,
    "OMR": 3,
    "TND": 3
} as const;

/** Signs of the small coins that have one, a hundredth of the whole. */
export const COINS = {
    "USD": "¢",
    "CAD": "¢",
    "AUD": "¢",
    "NZD": "¢",
    "EUR": "c",
    "GBP": "p"
} as const;

/** Of each unit as people read it: how many make one of the core's (litre, metre, kilogram, °C), and what its nought is. */
export const UNITS = {
    "L": [
        1,
        0
    ],
    "mL": [
        1000,
        0
    ],
    "gal": [
        0.26417205235814845,
        0
    ],
    "qt": [
        1.0566882094325938,
        0
    ],
    "pt": [
        2.1133764188651876,
        0
    ],
    "cup": [
        4.226752837730375,
        0
    ],
    "fl oz": [
        33.814022701843,
        0
    ],
    "tbsp": [
        67.628045403686,
        0
    ],
    "tsp": [
        202.88413621105798,
        0
    ],
    "cu ft": [
        0.035314666721488586,
        0
    ],
    "dry qt": [
        0.9080829842688559,
        0
    ],
    "bu": [
        0.028377593258401747,
        0
    ],
    "m": [
        1,
        0
    ],
    "cm": [
        100,
        0
    ],
    "mm": [
        1000,
        0
    ],
    "in": [
        39.37007874015748,
        0
    ],
    "ft": [
        3.280839895013123,
        0
    ],
    "kg": [
        1,
        0
    ],
    "g": [
        1000,
        0
    ],
    "lb": [
        2.2046226218487757,
        0
    ],
    "oz": [
        35.27396194958041,
        0
    ],
    "°C": [
        1,
        0
    ],
    "°F": [
        1.7999999999999972,
        32
    ]
} as const;

