import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { Link } from 'react-router';
import { get } from '../api/http';
import { LiveContext, useConnection, useLiveClient, useSitting } from '../live/hooks';
import { Notices } from '../parts/Notices';
import { Waiting } from '../parts/Waiting';
import { ClassEnded } from './class/ClassEnded';
import { Doors } from './class/Doors';
import { Teaching } from './class/Teaching';

export interface ClassFacts {
  id: string;
  lesson: string;
  course: string;
  title: string;
  rehearsal: boolean;
  /** Private notes by step; empty for students. */
  notes: Record<string, string>;
}

/** A class: at the doors, under way, or over. */
export default function ClassScreen() {
  const { id } = useParams();
  const client = useLiveClient('sitting', id!);
  if (!client) return <Waiting />;
  return (
    <LiveContext value={client}>
      <Stage id={id!} />
      <Notices />
    </LiveContext>
  );
}

function Stage({ id }: { id: string }) {
  const sitting = useSitting(id);
  const { status, you, trouble } = useConnection();
  const facts = useQuery({ queryKey: ['class', id], queryFn: () => get<ClassFacts>(`/api/classes/${id}`) });

  if (status === 'refused') return <Refusal says={trouble?.says ?? 'This class is not open to you.'} />;
  if (!sitting || !you || !facts.data) return <Waiting says="Going to the class" />;
  if (sitting.status === 'planned') return <Doors sitting={sitting} you={you} facts={facts.data} />;
  if (sitting.status === 'ended') return <ClassEnded sitting={sitting} you={you} facts={facts.data} />;
  return <Teaching sitting={sitting} you={you} facts={facts.data} />;
}

function Refusal({ says }: { says: string }) {
  return (
    <Box
      component="main"
      sx={{ height: '100%', display: 'grid', placeContent: 'center', justifyItems: 'center', gap: 2 }}
    >
      <Box role="alert">{says}</Box>
      <Button component={Link} to="/">
        Go to the desk
      </Button>
    </Box>
  );
}
