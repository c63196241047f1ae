/** How the air of the shed moves over the clay. */
export const AIR_SPEEDS = ['still', 'moving', 'fan'] as const;

/** Movement of the air. */
export type AirSpeed = (typeof AIR_SPEEDS)[number];

/** What lies over a drying part. */
export const COVERS = ['open', 'cloth', 'loose-film', 'tight-film', 'damp-box'] as const;

/** A cover over a drying part. */
export type Cover = (typeof COVERS)[number];

/** The air of the shed: temperature (°C), relative humidity (0 to 1), movement. */
export interface Air {
  readonly temperature: number;
  readonly humidity: number;
  readonly speed: AirSpeed;
}

/** An ordinary room. */
export const ROOM: Air = { temperature: 20, humidity: 0.55, speed: 'still' };

/** Limits of the air (°C; relative humidity from 0 to 1). */
export const AIR_LIMITS = {
  temperature: { least: 1, greatest: 60 },
  humidity: { least: 0, greatest: 1 },
} as const;

/** Molar mass of water over the gas constant (kg K/J). */
const WATER_OVER_GAS = 0.018015 / 8.314;

/** Latent heat of water (J/kg), at room temperature. */
const LATENT = 2.45e6;

/** Density times specific heat of air (J/(m3 K)), and its Lewis number for water vapour to the two thirds. */
const AIR_HEAT = 1.2 * 1006;
const LEWIS = 0.9;

/**
 * Heat transfer from air to a flat slab by convection (W/(m2 K)): free convection, a draught of about 0.5 m/s, a fan of
 * about 3 m/s along half a metre (Incropera and DeWitt, Fundamentals of Heat and Mass Transfer, flat plates).
 */
const CONVECTION: Readonly<Record<AirSpeed, number>> = { still: 3.5, moving: 8, fan: 22 };

/** Heat transfer by radiation from the walls of a room (W/(m2 K)): 4 sigma T^3 at 20 °C and an emissivity of 0.95. */
const RADIATION = 5.4;

/**
 * What a cover adds to the way of vapour (s/m). Cloth holds about 9 mm of still air; film is leaky at its edges, a
 * loose one more than one that is tucked in. Guesses of the bench: the factor that is learned takes up what is wrong in them.
 */
const COVER_RESISTANCE: Readonly<Record<Cover, number>> = {
  open: 0,
  cloth: 350,
  'loose-film': 2500,
  'tight-film': 12_000,
  'damp-box': 30_000,
};

/** Saturated vapour density over water (kg/m3) at a temperature (°C): Buck's equation of 1981 and the gas law. */
export function saturation(temperature: number): number {
  const pressure = 611.21 * Math.exp(((18.678 - temperature / 234.5) * temperature) / (257.14 + temperature));
  return (pressure * WATER_OVER_GAS) / (temperature + 273.15);
}

/** The drying conditions of a face, as {@link evaporation} needs them. */
export interface FaceAir {
  /** Saturated vapour density at the air's temperature (kg/m3), and its humidity. */
  readonly saturated: number;
  readonly humidity: number;
  /** Resistance to vapour (s/m), and what cooling by evaporation adds to it for a wet face. */
  readonly resistance: number;
  readonly cooling: number;
}

/** The drying conditions of a face under a cover. */
export function faceAir({ temperature, humidity, speed }: Air, cover: Cover): FaceAir {
  const convection = CONVECTION[speed];
  const saturated = saturation(temperature);
  const step = 0.01;
  const slope = (saturation(temperature + step) - saturation(temperature - step)) / (2 * step);
  return {
    saturated,
    humidity,
    // Chilton and Colburn: mass transfer from heat transfer.
    resistance: (AIR_HEAT * LEWIS) / convection + COVER_RESISTANCE[cover],
    cooling: (slope * LATENT) / (convection + RADIATION),
  };
}

/**
 * Water that leaves a face (kg/(m2 s)) whose water activity is `activity`. The face is colder than the air by what the
 * evaporation takes; the saturation curve is taken as straight between the two (Monteith 1965), which gives a resistance
 * that grows with the activity.
 */
export function evaporation({ saturated, humidity, resistance, cooling }: FaceAir, activity: number): number {
  return (saturated * (activity - humidity)) / (resistance + activity * cooling);
}
