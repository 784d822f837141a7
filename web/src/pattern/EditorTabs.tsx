import type { Kit, PlannedHardware } from '@compas/core';
import { Tabs } from 'antd';
import { memo } from 'react';
import { ChecksPanel } from './ChecksPanel.js';
import { ElementList } from './ElementList.js';
import { HardwarePanel } from './HardwarePanel.js';
import { HolesPanel } from './HolesPanel.js';
import { JoinsPanel } from './JoinsPanel.js';
import { PartBar } from './PartBar.js';
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
  return (
    <Tabs
      items={[
        {
          key: 'profile',
          label: 'Profile',
          children: (
            <div className="column">
              <ElementList />
              <HardwarePanel kits={kits} hardware={hardware} />
            </div>
          ),
        },
        { key: 'holes', label: 'Holes', children: <HolesPanel /> },
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
