import { type Dbu, powerDifferenceDb, voltsToDbu } from './decibel';

/** @unit J/K @source SI 2019 */
const BOLTZMANN = 1.380649e-23;
/** 20 °C. @unit K */
const ROOM_TEMPERATURE_K = 293.15;
/** @unit Hz */
const AUDIO_BANDWIDTH_HZ = 20_000;
/** The source resistance with which equivalent input noise is specified. @unit Ω */
export const EIN_SOURCE_OHMS = 150;
/**
 * A-weighting takes about this much off white noise over 20 kHz; used only where a data sheet gives
 * one kind of figure. @unit dB
 */
export const A_WEIGHTING_ALLOWANCE_DB = 2;

/**
 * Thermal noise of a resistance over 20 kHz at 20 °C, unloaded: `√(4·k·T·R·B)`.
 * @param ohms above 0 @source handbook 2-sound
 */
export const thermalNoiseDbu = (ohms: number): Dbu =>
  voltsToDbu(Math.sqrt(4 * BOLTZMANN * ROOM_TEMPERATURE_K * ohms * AUDIO_BANDWIDTH_HZ));

/**
 * The preamp's own part of its equivalent input noise. EIN contains the thermal noise of the 150 Ω
 * it was measured with.
 * @returns −∞ for an EIN at or under the thermal limit (a data sheet that cannot be true)
 */
export const preampOwnNoiseDbu = (einDbu: Dbu): Dbu =>
  powerDifferenceDb(einDbu, thermalNoiseDbu(EIN_SOURCE_OHMS));
