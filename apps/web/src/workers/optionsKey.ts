import type { WeighOptions } from '@aftersquall/core/weigh';

/** Options as one word: the same for the same question. */
export const optionsKey = ({ chances, ...rest }: WeighOptions): string =>
  JSON.stringify({ ...rest, chances: [...(chances ?? [])] });
