// What is used of this folder outside the core.

export { type Applied, applyCommand } from './applyCommand.ts';
export {
  type Change,
  ChangeSchema,
  changeKey,
  type FieldOverlap,
  isSameMaker,
  type MadeChange,
} from './change.ts';
export {
  batch,
  type Command,
  CommandSchema,
  describe as describeHead,
  place,
  put,
  remove,
  set as setFields,
} from './command.ts';
export { changesOfOthers, type Decision, decideChange, withValues } from './decideChange.ts';
export { type AnyDocument, defineDocument } from './defineDocument.ts';
export { describeChange, describeField, describeValue } from './describeChange.ts';
export { diffDocuments } from './diffDocuments.ts';
export { badReferences } from './documentIssues.ts';
export {
  DOCUMENT_KIND_NAMES,
  DOCUMENT_KINDS,
  type DocumentKindName,
  type DocumentOf,
  documentKindOf,
} from './documentKinds.ts';
export { duplicatePosition, duplicateSystem } from './duplicate.ts';
export { edit, isEmpty } from './edit.ts';
export { type Field, fieldsOfChange, isOrder, meet, overlap, withoutFields } from './fields.ts';
export { fieldValue } from './fieldValue.ts';
export { type Issue, RefusedError } from './issue.ts';
export { commandOf, rebase } from './rebase.ts';
export { zodIssues } from './zodIssues.ts';
