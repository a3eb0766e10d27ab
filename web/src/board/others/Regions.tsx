import { createContext, useContext } from 'react';
import type { Question } from '../../api/shapes';

type Region = NonNullable<Question['regions']>[number];

interface Counted {
  page: string;
  regions: Region[];
}

/** Regions of the board on the paper in which marks are counted just now; none as a rule. */
export const RegionsContext = createContext<Counted[]>([]);

/** Where marks are counted as answers, beneath the marks. */
export function Regions({ page }: { page: string }) {
  const regions = useContext(RegionsContext).flatMap((one) => (one.page === page ? one.regions : []));
  return regions.map((region) => <RegionShape key={region.id} region={region} />);
}

export function RegionShape({ region: { x, y, w, h, text } }: { region: Region }) {
  return (
    <g pointerEvents="none">
      <rect
        x={x}
        y={y}
        width={w}
        height={h}
        rx={12}
        fill="#17665E"
        fillOpacity={0.06}
        stroke="#17665E"
        strokeWidth={3}
        strokeDasharray="14 8"
      />
      <text x={x + 16} y={y + 34} fontSize={28} fontWeight={650} fill="#17665E">
        {text}
      </text>
    </g>
  );
}
