import { pickSystems, printGuardBook } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';
import { strToU8, zipSync } from 'fflate';
import { saveFile } from '../../../components/saveFile.ts';

/** The whole map as one guard book, or a file a system in one archive; or the one system that is shown. */
export function exportBook(map: GuardMap, how: 'one file' | 'a file a system' | { system: string }): void {
  const type = 'text/markdown;charset=utf-8';
  if (typeof how === 'object') {
    const [file] = printGuardBook(pickSystems(map, [how.system], map), how.system);
    saveFile(file!.name, file!.text, type);
  } else if (how === 'one file') {
    const [file] = printGuardBook(map, map.id);
    saveFile(file!.name, file!.text, type);
  } else {
    const files = printGuardBook(map, map.id, { split: true });
    const folder = Object.fromEntries(files.map(({ name, text }) => [`${map.id}/${name}`, strToU8(text)]));
    saveFile(`${map.id}-book.zip`, zipSync(folder), 'application/zip');
  }
}
