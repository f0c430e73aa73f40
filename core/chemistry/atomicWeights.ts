/**
 * Standard atomic weights, abridged to five figures, in g/mol, for the elements the trade meets.
 *
 * @see IUPAC/CIAAW, abridged standard atomic weights (2021); from memory
 */
export const ATOMIC_WEIGHTS: Readonly<Record<string, number>> = {
  H: 1.008, Li: 6.94, B: 10.81, C: 12.011, N: 14.007, O: 15.999, F: 18.998, Na: 22.99, Mg: 24.305, Al: 26.982,
  Si: 28.085, P: 30.974, S: 32.06, Cl: 35.45, K: 39.098, Ca: 40.078, Cr: 51.996, Mn: 54.938, Fe: 55.845, Cu: 63.546,
  Zn: 65.38, Se: 78.971, Br: 79.904, Sr: 87.62, Pd: 106.42, Ag: 107.87, I: 126.9, Ba: 137.33, Pt: 195.08, Au: 196.97, Hg: 200.59,
} // prettier-ignore
