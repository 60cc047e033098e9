import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import { TakeBack } from '../log/TakeBack.tsx';
import { AddItem } from './AddItem.tsx';
import { BillCard } from './BillCard.tsx';
import { ItemCard } from './ItemCard.tsx';
import { LabourNote } from './LabourNote.tsx';
import { WorkParts } from './WorkParts.tsx';
import { Promised } from './Promised.tsx';

/** What the job uses besides the gears of its family, what it has taken in minutes, and what that comes to. */
export const ItemsScreen = () => (
  <JobFrame stage="match" back={(id) => `/jobs/${id}/close`}>
    {(view) => (
      <>
        <Text variant="title">{shared.partsAndTime}</Text>
        <BillCard view={view} />
        {view.state.items.length > 0 ? (
          <View className="gap-3">
            {view.state.items.map((item) => (
              <ItemCard key={item.id} view={view} item={item} />
            ))}
          </View>
        ) : null}
        <WorkParts view={view} />
        <AddItem view={view} />
        <Promised jobId={view.job.id} on={view.state.promisedOn} />
        <LabourNote jobId={view.job.id} />
        <TakeBack
          view={view}
          kinds={['itemAdded', 'itemArrived', 'itemMeasured', 'itemAccepted', 'itemRefused', 'itemFitted', 'labourNoted']}
        />
      </>
    )}
  </JobFrame>
);
