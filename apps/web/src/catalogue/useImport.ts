import type { Duplicates, ImportState } from '@patient-badger/contract';
import type { ColumnMapping, PartField, PartLengthUnit } from '@patient-badger/core/parts';
import { useRef, useState } from 'react';
import { beginImport, followImport } from './bringIn.ts';
import { checkRows, mended, readPartsFile, type FileCheck, type PartsFile } from './partsFile.ts';
import { pickCsv } from './pickCsv.ts';
import { messageOf } from '../wording/messageOf.ts';

/** A parts list on its way in: chosen, its columns named, its rows checked and mended, then sent. */
export function useImport() {
  const [file, setFile] = useState<PartsFile | null>(null);
  const [mapping, setMapping] = useState<ColumnMapping>({});
  const [unit, setUnit] = useState<PartLengthUnit>('mm');
  const [duplicates, setDuplicates] = useState<Duplicates>('refuse');
  const [checked, setChecked] = useState<FileCheck | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [coming, setComing] = useState<ImportState | null>(null);
  const stop = useRef(false);

  const choose = async () => {
    try {
      const picked = await pickCsv();
      if (!picked) return;
      const read = await readPartsFile(picked);
      setFile(read);
      setMapping(read.mapping);
      setChecked(null);
      setComing(null);
      setProblem(null);
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  const check = async (of = file) => {
    if (!of) return;
    stop.current = false;
    setShare(0);
    setChecked(await checkRows(of, { mapping, unit, onProgress: setShare, stopped: () => stop.current }));
    setShare(null);
  };
  const mend = (index: number, field: PartField, text: string) => {
    if (!file) return;
    setFile(mended(file, { index, mapping, field, text }));
  };
  const bring = async () => {
    if (!checked) return;
    try {
      setProblem(null);
      const begun = await beginImport(checked.drafts, duplicates);
      setComing(begun);
      const ended = await followImport(begun.id, setComing);
      if (ended.state === 'failed') setProblem(ended.sentence);
    } catch (error) {
      setComing(null);
      setProblem(messageOf(error));
    }
  };
  const cancel = () => {
    stop.current = true;
  };
  return {
    file,
    mapping,
    setMapping,
    unit,
    setUnit,
    duplicates,
    setDuplicates,
    checked,
    setChecked,
    share,
    problem,
    coming,
    choose,
    check,
    mend,
    bring,
    cancel,
  };
}
