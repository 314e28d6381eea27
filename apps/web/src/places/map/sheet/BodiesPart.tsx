import { limbConflicts, wordContext } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import { type Position } from '@aftersquall/core/model';
import { startYaws } from '@aftersquall/core/pose';
import { useState } from 'react';
import { HoldsPlan } from '../../../components/bodyPlan/HoldsPlan.tsx';
import { type Looking, lookAt } from '../../../components/bodyPlan/looking.ts';
import { HoldsField } from '../../../components/fields/HoldsField.tsx';
import { SignsField } from '../../../components/fields/SignsField.tsx';
import { TurnablePicture } from '../../../components/TurnablePicture.tsx';
import { say } from '../words.ts';
import { BodyFitPart } from './BodyFitPart.tsx';
import { PictureHintsPart, type Turning } from './PictureHintsPart.tsx';

interface Props {
  position: Position;
  save: (changes: Partial<Position>) => Issue[];
}

/** Half a turn each way. */
const within = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;

/** Both bodies: the picture, the plan and the lists of holds; what is pointed at in one is lit in all. */
export function BodiesPart({ position, save }: Props) {
  const [pointed, onPoint] = useState<string>();
  const [looking, setLooking] = useState<Looking>({ flipped: false, apparel: 'gi' });
  const [turning, setTurning] = useState<Turning>('view');
  const context = wordContext(position);
  const conflicts = [...limbConflicts(position.holds, context), ...limbConflicts(position.topHolds, context)];
  const looked = lookAt(position, looking);
  const turn = (degrees: number) => {
    if (turning === 'view') return;
    const yaw = Math.round(within(startYaws(position)[turning] + degrees));
    save({ pose: { ...position.pose, [turning === 'own' ? 'ownYaw' : 'topYaw']: yaw } });
  };
  return (
    <>
      <TurnablePicture
        position={looked?.position ?? position}
        width={330}
        pointed={pointed}
        onPoint={onPoint}
        turning={looked || turning === 'view' ? undefined : turning}
        onTurned={turn}
        onKeepView={looked ? undefined : (view) => save({ pose: { ...position.pose, view } })}
      />
      <PictureHintsPart position={position} turning={turning} onTurning={setTurning} save={save} />
      <BodyFitPart position={position} />
      {conflicts.map((conflict) => (
        <p key={conflict.words} className="hazard mb-1">
          {say.oneLimbTwoHolds} {conflict.words}.
        </p>
      ))}
      <HoldsPlan
        position={position}
        onChange={save}
        looking={looking}
        onLooking={setLooking}
        pointed={pointed}
        onPoint={onPoint}
      />
      <h3>Holds</h3>
      <HoldsField
        label="Holds of bottom"
        by="own"
        holds={position.holds}
        context={context}
        onChange={(holds) => save({ holds })}
        pointed={pointed}
        onPoint={onPoint}
      />
      <h3>Top’s holds and signs</h3>
      <HoldsField
        label="Holds of top"
        by="top"
        holds={position.topHolds}
        context={context}
        onChange={(topHolds) => save({ topHolds })}
        pointed={pointed}
        onPoint={onPoint}
      />
      <div className="mt-2">
        <SignsField label="Signs" signs={position.signs} onChange={(signs) => save({ signs })} />
      </div>
    </>
  );
}
