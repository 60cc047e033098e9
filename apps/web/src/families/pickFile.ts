import { t } from '@patient-badger/wording/families';

const MOST_BYTES = 1024 * 1024;

/** Opens the file chooser for a family file; null where none was chosen. @throws Error where it is too large for one */
export function pickFamilyFile(): Promise<{ name: string; text: string } | null> {
  return new Promise((resolve, reject) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = 'application/json,.json';
    input.addEventListener('change', () => {
      const file = input.files?.[0];
      if (!file) return resolve(null);
      if (file.size > MOST_BYTES) return reject(new Error(t.thisFileIsLargerThan));
      file.text().then((text) => resolve({ name: file.name, text }), reject);
    });
    input.addEventListener('cancel', () => resolve(null));
    input.click();
  });
}
