/** Units of a wrench. */
export const TORQUE_UNITS = ['N·m', 'ft·lb', 'in·lb'] as const;

/** Units in which sheets give a torque: those of a wrench, and an old one. */
export const SHEET_TORQUE_UNITS = [...TORQUE_UNITS, 'kgf·m'] as const;
/** Exact by the international foot, pound and standard gravity (NIST SP 811, appendix B). */
export const NEWTON_METRES: Readonly<Record<(typeof SHEET_TORQUE_UNITS)[number], number>> = {
  'N·m': 1,
  'ft·lb': 1.355_817_948_331_4,
  'in·lb': 0.112_984_829_027_617,
  'kgf·m': 9.806_65,
};
