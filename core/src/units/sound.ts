/** Speed of sound at 20 °C. @unit m/s */
export const SOUND_MPS = 343;
