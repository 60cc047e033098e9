import { GearFrame } from '../job/GearFrame.tsx';
import { BookGear } from './BookGear.tsx';
import { kindFor } from './kinds.ts';
import { NoCardYet } from './NoCardYet.tsx';

/** The gear card: dimensions tapped on the drawing, candidates that change as they are read. */
export const GearScreen = () => (
  <GearFrame stage="measure">
    {(view, card) => {
      const Card = kindFor(view.pack, card)?.view.Card ?? NoCardYet;
      return (
        <>
          <BookGear view={view} card={card} />
          <Card view={view} card={card} />
        </>
      );
    }}
  </GearFrame>
);
