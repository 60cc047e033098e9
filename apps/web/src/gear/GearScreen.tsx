import { GearFrame } from '../job/GearFrame.tsx';
import { benchFor } from './benchFor.ts';
import { CylindricalBench } from './CylindricalBench.tsx';
import { NoCardYet } from './NoCardYet.tsx';
import { SizedBench } from './SizedBench.tsx';
import { WormBench } from './WormBench.tsx';

/** The gear card: dimensions tapped on the drawing, candidates that change as they are read. */
export const GearScreen = () => (
  <GearFrame stage="measure">
    {(view, card) => {
      switch (benchFor(view.pack, card)) {
        case 'worm':
          return <WormBench view={view} card={card} />;
        case 'cylindrical':
          return <CylindricalBench view={view} card={card} />;
        case 'sized':
          return <SizedBench view={view} card={card} />;
        case null:
          return <NoCardYet view={view} card={card} />;
      }
    }}
  </GearFrame>
);
