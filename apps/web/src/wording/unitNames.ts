export const UNIT_NAMES = { mm: 'Millimetres', inch: 'Inches', thou: 'Thou', km: 'Kilometres', mile: 'Miles' } as const;
