import { GearFrame } from '../job/GearFrame.tsx';
import { CylindricalBench } from './CylindricalBench.tsx';
import { NoCardYet } from './NoCardYet.tsx';
import { SizedBench } from './SizedBench.tsx';
import { WormBench } from './WormBench.tsx';

/** The gear card: dimensions tapped on the drawing, candidates that change as they are read. */
export const GearScreen = () => (
  <GearFrame stage="measure">
    {(view, card) => {
      if (card.type === 'worm') return <WormBench view={view} card={card} />;
      if (card.type === 'spur' || card.type === 'helical') return <CylindricalBench view={view} card={card} />;
      if (card.type === 'bevel' || card.type === 'wormWheel') return <SizedBench view={view} card={card} />;
      return <NoCardYet view={view} card={card} />;
    }}
  </GearFrame>
);
