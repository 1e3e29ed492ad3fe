/**
 * What a shift wears off a lining, after Archard: the volume goes with the work that is rubbed in (published: Archard 1953, "Contact
 * and rubbing of flat surfaces"), here with a rate that rises with the heat of the plates.
 *
 *   depth a face = k·2^((ϑ − ϑ₀)/Δ)·W/A      for ϑ > ϑ₀, else k·W/A
 */

/** m³/J of a usual paper lining in its fluid; °C from which heat speeds it up, and by how many it doubles (memory). */
const RATE = 5e-14;
const FROM_C = 120;
const DOUBLES_IN = 20;
/** kg/m³ of steel (any handbook), and m of a usual plate (memory): what a pack's faces come to follows from the mass of its steel. */
const STEEL_DENSITY = 7850;
const PLATE = 1.8e-3;

/** m² of all faces that a pack's steel plates touch, both sides of each. @param steel kg */
export const facesOf = (steel: number): number => (2 * steel) / (STEEL_DENSITY * PLATE);

/** m off each face in one shift. @param joules rubbed in @param steel kg of the plates @param celsius of the plates afterwards */
export function wornAway(joules: number, steel: number, celsius: number): number {
  const hotter = Math.max(0, celsius - FROM_C) / DOUBLES_IN;
  return (RATE * 2 ** hotter * joules) / facesOf(steel);
}

/** m of a lining by which shifts are counted. */
export const COUNTED_WEAR = 1e-4;
