// What is used of this folder outside the core.

export { printOpenApi } from './openApi.ts';
export { type AnswerOf, addressOf, type CallOf, type InputOf, isText, type Route } from './route.ts';
export { CHANGES_PAGE, HISTORY_PAGE, REMOVED_DAYS, ROUTES, type RouteName } from './routes.ts';
export {
  addressKey,
  type ChangeEvent,
  ChangeEventSchema,
  type ChangesPage,
  type DocumentAddress,
  DocumentSchema,
  type DocumentSummary,
  type HistoryLine,
  type RefusalBody,
  type RemovedDocument,
  type StoredDocument,
} from './shapes.ts';
