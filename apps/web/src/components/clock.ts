export { clockText as clock } from '@aftersquall/core/formats';
