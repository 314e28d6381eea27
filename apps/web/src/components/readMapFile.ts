import { type Issue, RefusedError } from '@aftersquall/core/documents';
import { parseMapFile } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';
import { say } from './words.ts';

/** The map in a file, also of a version before this one; or what is wrong in the file, and where. */
export async function readMapFile(
  file: Blob,
): Promise<{ map: GuardMap; refusal?: undefined } | { map?: undefined; refusal: FileRefusal }> {
  try {
    return { map: parseMapFile(await file.text()) };
  } catch (error) {
    if (!(error instanceof RefusedError)) throw error;
    return {
      refusal: { message: say.fileNotMapHas, issues: error.issues },
    };
  }
}

export interface FileRefusal {
  message: string;
  issues: Issue[];
}
