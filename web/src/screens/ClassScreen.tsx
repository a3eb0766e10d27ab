import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { lazy, type ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { get } from '../api/http';
import { useSession } from '../api/session';
import type { ClassFacts } from '../api/shapes';
import { LiveContext, useConnection, useLiveClient, usePlace, useSitting } from '../live/hooks';
import { WAITING } from '../live/streams';
import { Centred } from '../parts/frame/Centred';
import { Notices } from '../parts/frame/Notices';
import { Waiting } from '../parts/frame/Waiting';
import { GroundsContext } from '../polls/grounds';
import { OnStage } from '../stage/OnStage';
import { Teaching } from './class/Teaching';
import { WaitingRoom } from './class/WaitingRoom';

// Before and after the class.
const Doors = lazy(() => import('./class/Doors').then(({ Doors }) => ({ default: Doors })));
const ClassEnded = lazy(() => import('./class/ClassEnded').then(({ ClassEnded }) => ({ default: ClassEnded })));
const SignIn = lazy(() => import('./SignIn'));

/** A class: at the doors, under way, or over. */
export default function ClassScreen() {
  const { id } = useParams();
  const [query] = useSearchParams();
  const session = useSession();
  // Nothing waits for the answer: whoever is signed in, as nearly everyone is, is on the way already.
  if (session.data && !session.data.person) return <SignIn />;
  return <Connected id={id!} unseen={query.has('unseen')} />;
}

function Connected({ id, unseen }: { id: string; unseen: boolean }) {
  const client = useLiveClient('sitting', id, unseen);
  if (!client) return <Waiting />;
  return (
    <LiveContext value={client}>
      <GroundsContext value={client}>
        <AsItStands id={id} />
        <Notices />
      </GroundsContext>
    </LiveContext>
  );
}

function AsItStands({ id }: { id: string }) {
  const sitting = useSitting(id);
  const doors = usePlace(id, WAITING);
  const { status, you, trouble } = useConnection();
  const facts = useQuery({ queryKey: ['class', id], queryFn: () => get<ClassFacts>(`/api/classes/${id}`) });

  if (status === 'refused')
    return (
      <Refusal says={trouble?.says ?? 'This class is not open to you.'}>
        {trouble?.code === 'class_ended' && (
          <Button component={Link} to={`/classes/${id}/after`} variant="contained" color="primary">
            See what is left of it
          </Button>
        )}
      </Refusal>
    );
  if (facts.error) return <Refusal says={facts.error.message} />;
  if (!you || !facts.data) return <Waiting says="Going to the class" />;
  if (!sitting)
    return doors ? (
      <WaitingRoom doors={doors} lesson={facts.data.lesson} stage={facts.data.stage} />
    ) : (
      <Waiting says="Going to the class" />
    );
  if (sitting.status === 'planned') return <Doors sitting={sitting} you={you} facts={facts.data} />;
  if (sitting.status === 'ended') return <ClassEnded sitting={sitting} you={you} facts={facts.data} />;
  return (
    <OnStage name={you.name}>
      <Teaching sitting={sitting} you={you} facts={facts.data} />
    </OnStage>
  );
}

function Refusal({ says, children }: { says: string; children?: ReactNode }) {
  return (
    <Centred alert={says}>
      {children}
      <Button component={Link} to="/">
        Go to the desk
      </Button>
    </Centred>
  );
}
