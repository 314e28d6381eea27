import { CONTACTS } from '../../model/contacts.ts';
import { HOOK_ROUTES, type PoseHints, type PosePlace } from '../../model/poseHints.ts';
import { BookSlip, readWord, shifted, splitEntries } from './text.ts';
import { type Codec, number } from './values.ts';

const yaw = number(-360, 360, '°');
const height = number(0, 80, '°');
const metres = number(-3, 3);
const up = number(0, 2);
/** `at 0.2 -0.5 0.4`: to the right, towards the other, up, in metres. */
function readPlace(words: readonly string[]): PosePlace {
  if (words.length !== 3)
    throw new BookSlip(
      `"at ${words.join(' ')}" is no place; expected metres to the right, towards the other, up: "at 0.2 -0.5 0.4"`,
    );
  return [metres.read(words[0]!), metres.read(words[1]!), up.read(words[2]!)];
}
const KINDS = ['own', 'top', 'from', ...CONTACTS] as const;

/** Hints for the picture of a position: `own 40°, top -20°, own at 0 -0.5 0.4, from 90° at 26°, footL outside`. */
export const pictureHints: Codec<PoseHints> = {
  read(line) {
    const hints: PoseHints = {};
    for (const { text, at } of splitEntries(line))
      shifted(at, () => {
        const [word = '', ...rest] = text.split(' ');
        const kind = readWord(KINDS, 'hint for a picture', word);
        const value = rest.join(' ');
        if ((kind === 'own' || kind === 'top') && rest[0] === 'at')
          hints[kind === 'own' ? 'ownPlace' : 'topPlace'] = readPlace(rest.slice(1));
        else if (kind === 'own') hints.ownYaw = yaw.read(value);
        else if (kind === 'top') hints.topYaw = yaw.read(value);
        else if (kind === 'from') {
          const [azimuth, elevation, more] = value.split(' at ');
          if (elevation === undefined || more !== undefined)
            throw new BookSlip(`"${value}" is no view; expected "90° at 26°": round the pair, and how high`);
          hints.view = { azimuth: yaw.read(azimuth!), elevation: height.read(elevation) };
        } else hints.routes = { ...hints.routes, [kind]: readWord(HOOK_ROUTES, 'way round', value) };
      });
    return hints;
  },
  print: ({ ownYaw, topYaw, ownPlace, topPlace, view, routes = {} }) =>
    [
      ...(ownYaw === undefined ? [] : [`own ${yaw.print(ownYaw)}`]),
      ...(topYaw === undefined ? [] : [`top ${yaw.print(topYaw)}`]),
      ...(ownPlace ? [`own at ${ownPlace.map(String).join(' ')}`] : []),
      ...(topPlace ? [`top at ${topPlace.map(String).join(' ')}`] : []),
      ...(view ? [`from ${yaw.print(view.azimuth)} at ${height.print(view.elevation)}`] : []),
      ...Object.entries(routes).map(([contact, route]) => `${contact} ${route}`),
    ].join(', '),
};
