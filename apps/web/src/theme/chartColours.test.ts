import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { CHART_COLOURS } from './chartColours.ts';

const scss = readFileSync(new URL('theme.scss', import.meta.url), 'utf8');

/** What a custom property is, by day (first) and by night; names of the palette are looked up. */
function colours(property: string): string[] {
  return [...scss.matchAll(new RegExp(`--as-${property}: ([^;]+);`, 'g'))].map(([, value = '']) => {
    const name = /^#\{\$(.+)\}$/.exec(value)?.[1];
    return name ? (new RegExp(`^\\$${name}: ([^;]+);`, 'm').exec(scss)?.[1] ?? '') : value;
  });
}

it.each(['ink', 'own', 'top'] as const)('charts draw %s in the colour of the theme', (name) => {
  expect([CHART_COLOURS.light[name], CHART_COLOURS.dark[name]]).toEqual(colours(name));
});
