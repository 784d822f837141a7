import type { Kit, PlannedHardware } from '@compas/core';
import { Button, Tabs } from 'antd';
import { memo, useState } from 'react';
import { ChecksPanel } from './ChecksPanel.js';
import { hollowAt } from './editing.js';
import { useEditor } from './editor.js';
import { ElementList } from './ElementList.js';
import { HardwarePanel } from './HardwarePanel.js';
import { HolesPanel } from './HolesPanel.js';
import { HollowsPanel } from './HollowsPanel.js';
import { JoinsPanel } from './JoinsPanel.js';
import { PartBar } from './PartBar.js';
import { RingsPanel } from './RingsPanel.js';
import { SourcePanel } from './SourcePanel.js';
import { SurfacePanel } from './SurfacePanel.js';

interface EditorTabsProps {
  kits: Kit[];
  hardware: PlannedHardware | null;
  parts: number;
  patternId: string;
}

/** The panels of the editor: each draws itself anew when what it shows has changed. */
export const EditorTabs = memo(function EditorTabs({ kits, hardware, parts, patternId }: EditorTabsProps) {
  const [tab, showTab] = useState('profile');
  return (
    <Tabs
      activeKey={tab}
      onChange={showTab}
      items={[
        {
          key: 'profile',
          label: 'Profile',
          children: (
            <div className="column">
              <HollowHead />
              <HardwarePanel kits={kits} hardware={hardware} />
              <ElementList />
            </div>
          ),
        },
        {
          key: 'holes',
          label: 'Holes, hollows, rings',
          children: <HolesAndHollows onProfile={() => showTab('profile')} />,
        },
        {
          key: 'parts',
          label: `Parts and joins${parts > 1 ? ` (${parts})` : ''}`,
          children: (
            <div className="column">
              <PartBar />
              <JoinsPanel kits={kits} />
            </div>
          ),
        },
        {
          key: 'surface',
          label: 'Surface and checks',
          children: (
            <div className="column">
              <SurfacePanel />
              <ChecksPanel patternId={patternId} />
            </div>
          ),
        },
        { key: 'source', label: 'Source and mates', children: <SourcePanel /> },
      ]}
    />
  );
});

function HolesAndHollows({ onProfile }: { onProfile: () => void }) {
  return (
    <div className="column">
      <HolesPanel />
      <HollowsPanel onProfile={onProfile} />
      <RingsPanel />
    </div>
  );
}

/** Whose profile is edited while it is that of a hollow, and the way back to the outside. */
function HollowHead() {
  const { part, spot, goTo, select } = useEditor();
  const hollow = hollowAt(part, spot.turningId);
  if (!hollow) return null;
  const back = () => {
    select(null);
    goTo({ partId: part.id, turningId: part.turnings[0].id });
  };
  return (
    <div className="row">
      <b>Profile of the {hollow.name}, from its rim into the wood</b>
      <Button onClick={back}>Back to the outside</Button>
    </div>
  );
}
