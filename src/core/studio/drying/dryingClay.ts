/** A plastic clay as it dries; moistures are mass of water over mass of dry clay. */

/** Moisture of soft plastic clay as it comes from the bag. */
export const PLASTIC = 0.27;

/** Dry clay in a volume of plastic clay (kg/m3), for a wet density of 1.9 g/cm3. */
export const DRY_DENSITY = 1900 / (1 + PLASTIC);

/**
 * Mean moistures at which clay changes what it can be used for. Plastic clay bodies lose about a twentieth of their
 * water before they lift without a mark, and are leather-hard with two thirds of it (F. H. Norton, Fine Ceramics; Reed,
 * Principles of Ceramics Processing, name 0.15 to 0.20 for leather-hard). The figures between are rules of the bench,
 * which the learned factor shifts.
 */
export const STATES = {
  /** Lifts without a mark, and still bends: the join window opens. */
  opens: 0.258,
  /** Cracks when it is bent or joined. */
  closes: 0.22,
  leatherHard: 0.185,
  /** No longer cool to the cheek: dry enough for the kiln. */
  dry: 0.02,
} as const;

/** A state of drying clay. */
export type DryingState = keyof typeof STATES;

/** Below this moisture grains touch and clay shrinks no further. */
export const SHRINKAGE_ENDS = 0.15;

/** Length over wet length at a moisture: volume falls by the volume of the water that is lost, alike in all directions. */
export function lengthLeft(moisture: number): number {
  return Math.cbrt(1 - ((PLASTIC - Math.max(SHRINKAGE_ENDS, Math.min(PLASTIC, moisture))) * DRY_DENSITY) / 1000);
}

/** Isotherm of Henderson (1952), fitted to kaolins and ball clays: 1 % moisture at half saturated air, 2.2 % at nine tenths. */
const ISOTHERM = { moisture: 0.0127, power: 1.52 };

/** Water activity of clay at a moisture, 0 to 1: humidity of the air with which it is in balance. */
export function activityOf(moisture: number): number {
  return moisture <= 0 ? 0 : 1 - Math.exp(-((moisture / ISOTHERM.moisture) ** ISOTHERM.power));
}

/** Moisture at which clay is in balance with air of a humidity below 1. */
export function balanceAt(humidity: number): number {
  return ISOTHERM.moisture * (-Math.log(1 - Math.min(humidity, 0.999))) ** (1 / ISOTHERM.power);
}

/** Factor of Vogel's formula (Pa s). */
const THIN_WATER = 2.414e-5;

/** Diffusivity of water in clay that is plastic, at 20 °C (m2/s). */
const PLASTIC_DIFFUSIVITY = 6e-9;

/** Viscosity of water (Pa s) by temperature (°C), after Vogel. */
const viscosity = (temperature: number) => THIN_WATER * 10 ** (247.8 / (temperature + 133.15));

/**
 * Diffusivity of water in clay (m2/s) by moisture and temperature (°C). Of the order of 1e-9 to 1e-8 for plastic bodies
 * (Ford, Ceramics Drying, 1986), falling steeply as pores empty, and with temperature as the viscosity of water does (Scherer,
 * Theory of Drying, 1990).
 */
export function diffusivityAt(temperature: number): (moisture: number) => number {
  const warmth = ((temperature + 273.15) * viscosity(20)) / (293.15 * viscosity(temperature));
  return (moisture) => PLASTIC_DIFFUSIVITY * warmth * Math.exp(9 * (Math.min(moisture, PLASTIC) - PLASTIC));
}
