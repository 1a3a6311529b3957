/** Density of water at atmospheric pressure, kg/m3, 0 to 100 degC: Kell 1975. */
export const density = (c: number): number =>
  (999.83952 +
    16.945176 * c -
    7.9870401e-3 * c ** 2 -
    46.170461e-6 * c ** 3 +
    105.56302e-9 * c ** 4 -
    280.54253e-12 * c ** 5) /
  (1 + 16.87985e-3 * c)

/** Dynamic viscosity of water, Pa s, 0 to 100 degC: 2.414e-5 x 10^(247.8 / (T - 140)), T in K; within 2.5 %. */
export const viscosity = (c: number): number => 2.414e-5 * 10 ** (247.8 / (c + 273.15 - 140))
