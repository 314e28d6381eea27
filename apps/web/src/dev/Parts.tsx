import { wordContext } from '@aftersquall/core/body';
import { emptyMap, HAZARD_TAGS, type Hold, PositionSchema } from '@aftersquall/core/model';
import { Star } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { ApparelToggle } from '../components/ApparelToggle.tsx';
import { HoldsPlan } from '../components/bodyPlan/HoldsPlan.tsx';
import { ChoiceSearch } from '../components/ChoiceSearch.tsx';
import { ChoiceToggle } from '../components/ChoiceToggle.tsx';
import { FaultsField } from '../components/fields/FaultsField.tsx';
import { FitsField } from '../components/fields/FitsField.tsx';
import { HazardsField } from '../components/fields/HazardsField.tsx';
import { HoldsField } from '../components/fields/HoldsField.tsx';
import { PatternsField } from '../components/fields/PatternsField.tsx';
import { SavedField } from '../components/fields/SavedField.tsx';
import { SelectField } from '../components/fields/SelectField.tsx';
import { SignsField } from '../components/fields/SignsField.tsx';
import { Hazards } from '../components/Hazards.tsx';
import { IconButton } from '../components/IconButton.tsx';
import { LimbGlyph } from '../components/LimbGlyph.tsx';
import { NameDialog } from '../components/NameDialog.tsx';
import { RulesChoice } from '../components/RulesChoice.tsx';
import { SaveLine } from '../components/SaveState.tsx';
import { TakeOut } from '../components/TakeOut.tsx';
import { Worth } from '../components/Worth.tsx';
import { setTheme } from '../store/settings.ts';
import { useAppDispatch } from '../store/store.ts';
import { useTheme } from '../theme/useTheme.ts';

const grip: Hold = {
  id: 'collar',
  contacts: ['handR'],
  action: 'grip',
  target: { of: 'top', part: 'collar', side: 'R' },
  depth: 'deep',
  keep: true,
};
const start = PositionSchema.parse({
  id: 'p',
  name: 'Collar and hip',
  holds: [
    grip,
    { id: 'hip', contacts: ['footL'], action: 'place', target: { of: 'top', part: 'hip', side: 'R' } },
  ],
  signs: { 'top.posture': 'broken' },
  faults: [{ id: 'f1', text: 'straight legs', mend: 'knees bent' }],
  fits: [{ about: 'limbs', of: 'own', value: 'long', effect: 1, why: 'reaches both' }],
});
const change = { key: 'k', commands: [], who: '', what: 'chance 40 % → 45 %', base: 1, fields: [] };
const CHOICES = ['Triangle locked', 'Two hands on one sleeve'].map((name) => ({
  key: name,
  name,
  what: 'position',
}));

const NO_MAP = emptyMap('parts', 'Parts');

/** Every shared component in its states, for whoever builds a screen. In the development build only. */
export function Parts() {
  const theme = useTheme();
  const dispatch = useAppDispatch();
  const [position, setPosition] = useState(start);
  const [choice, setChoice] = useState<'one' | 'two'>('one');
  const [typed, setTyped] = useState('t');
  const [naming, setNaming] = useState(false);
  const context = wordContext(position);
  const set = (changes: Partial<typeof start>) => {
    setPosition({ ...position, ...changes });
    return [];
  };
  return (
    <main className="container py-3">
      <h1>Parts</h1>
      <ChoiceToggle
        label="Theme"
        value={theme}
        choices={[
          ['light', 'Light'],
          ['dark', 'Dark'],
        ]}
        onChange={(next) => dispatch(setTheme(next))}
      />
      <Part name="ChoiceToggle, ApparelToggle, RulesChoice">
        <ChoiceToggle
          label="Choice"
          above="With words above"
          value={choice}
          choices={[
            ['one', 'One'],
            ['two', 'The other'],
          ]}
          onChange={setChoice}
        />
        <ApparelToggle value="gi" onChange={() => undefined} />
        <RulesChoice />
      </Part>
      <Part name="SaveLine: saved, saving, without the server, not kept yet, news">
        <SaveLine lasting session={{ waiting: [], online: true }} onTry={() => undefined} />
        <SaveLine lasting session={{ waiting: [change], online: true }} onTry={() => undefined} />
        {[true, false].map((kept) => (
          <SaveLine
            lasting
            key={String(kept)}
            session={{
              waiting: [{ ...change, kept }],
              online: false,
              trouble: 'Something went wrong on the server; nothing was changed.',
            }}
            onTry={() => undefined}
          />
        ))}
        <SaveLine
          lasting
          session={{
            waiting: [],
            online: true,
            news: { who: 'Coach Tern', what: 'chance 40 % → 45 %', revision: 2 },
          }}
          onTry={() => undefined}
        />
      </Part>
      <Part name="Worth: gained, lost, stale, in words">
        <Worth value={1.25} />
        <Worth value={-2.4} />
        <Worth value={0} stale />
        <Worth value={0.5} inWords />
      </Part>
      <Part name="Hazards, IconButton, TakeOut">
        <Hazards tags={HAZARD_TAGS.slice(0, 3)} />
        <IconButton label="A picture alone" onClick={() => undefined}>
          <Star size={15} aria-hidden />
        </IconButton>
        <IconButton label="Not now" disabled onClick={() => undefined}>
          <Star size={15} aria-hidden />
        </IconButton>
        <TakeOut label="Take out" onClick={() => undefined} />
      </Part>
      <Part name="LimbGlyph: holding, nothing held">
        <LimbGlyph holds={position.holds} context={context} width={76} />
        <LimbGlyph holds={[]} context={context} width={76} />
      </Part>
      <Part name="SavedField: text, number with unit, refused, lines">
        <SavedField label="Text" value="as it is" onSave={() => []} />
        <SavedField label="Number" type="number" unit="%" value="40" onSave={() => []} />
        <SavedField label="Refuses (change it and leave)" value="x" onSave={() => 'Not like that.'} />
        <SavedField label="Lines" lines={2} value={'one\ntwo'} onSave={() => []} />
      </Part>
      <Part name="SelectField, SignsField, PatternsField, HazardsField">
        <SelectField
          label="Select"
          value="a"
          choices={[
            { value: 'a', name: 'first' },
            { value: 'b', name: 'second' },
          ]}
          onChange={() => undefined}
        />
        <SignsField label="Signs" signs={position.signs} onChange={(signs) => set({ signs })} />
        <PatternsField
          label="Patterns"
          patterns={[{ action: 'grip', part: 'sleeve' }]}
          context={context}
          onChange={() => undefined}
        />
        <HazardsField hazards={['strangle']} onChange={() => undefined} />
      </Part>
      <Part name="HoldsField, FaultsField, FitsField">
        <HoldsField
          label="Holds of bottom"
          by="own"
          holds={position.holds}
          context={context}
          onChange={(holds) => set({ holds })}
        />
        <FaultsField map={NO_MAP} faults={position.faults} onChange={(faults) => set({ faults })} />
        <FitsField fits={position.fits} onChange={(fits) => set({ fits })} />
      </Part>
      <Part name="HoldsPlan">
        <HoldsPlan position={position} onChange={set} />
      </Part>
      <Part name="ChoiceSearch">
        <ChoiceSearch
          id="parts-list"
          label="Search"
          listLabel="Found"
          placeholder="type a name"
          typed={typed}
          onType={setTyped}
          choices={CHOICES}
          onPick={() => undefined}
        />
      </Part>
      <Part name="NameDialog">
        <button type="button" className="btn btn-sm btn-now" onClick={() => setNaming(true)}>
          Ask for a name
        </button>
        {naming && (
          <NameDialog title="New thing" onName={() => setNaming(false)} onHide={() => setNaming(false)} />
        )}
      </Part>
    </main>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section className="my-4">
      <h2 className="label-small">{name}</h2>
      <div className="d-flex flex-wrap align-items-start gap-3">{children}</div>
    </section>
  );
}
