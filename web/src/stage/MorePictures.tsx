import Button from '@mui/material/Button';
import { useState } from 'react';
import { useStage, useStageState } from './useStage';

/** Pictures that are sent at once. */
const AT_ONCE = 6;

/** Where more people show themselves than are seen at once: the next of them. Whoever speaks is seen in any case. */
export function MorePictures({ me }: { me: string }) {
  const stage = useStage();
  const state = useStageState();
  const [page, setPage] = useState(0);
  const shown = (state?.people ?? []).filter(({ id, picture }) => picture && id !== me).map(({ id }) => id);
  const pages = Math.ceil(shown.length / AT_ONCE);
  if (pages < 2 || state?.soundOnly) return null;
  const next = (page + 1) % pages;
  return (
    <Button
      title={`${shown.length} people show themselves`}
      onClick={() => {
        setPage(next);
        stage?.lookAt(shown.slice(next * AT_ONCE, (next + 1) * AT_ONCE));
      }}
    >
      More pictures
    </Button>
  );
}
