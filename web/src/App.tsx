import { lazy, Suspense } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { useSession } from './api/session';
import { Waiting } from './parts/Waiting';
import { SignIn } from './screens/SignIn';

const Enter = lazy(() => import('./screens/Enter'));
const Desk = lazy(() => import('./screens/Desk'));
const Lesson = lazy(() => import('./screens/Lesson'));
const ClassOfLesson = lazy(() => import('./screens/ClassOfLesson'));
const ClassScreen = lazy(() => import('./screens/ClassScreen'));
// Whoever comes straight to a class should not wait for one thing after another.
if (location.pathname.startsWith('/classes/')) void import('./screens/ClassScreen');

const Recordings = lazy(() => import('./screens/Recordings'));
const Player = lazy(() => import('./screens/Player'));
const Shelf = lazy(() => import('./screens/Shelf'));
const Boards = lazy(() => import('./screens/Boards'));
const NotFound = lazy(() => import('./screens/NotFound'));

/** Which screen belongs to which address. Links and recordings may be opened signed out. */
export function App() {
  return (
    <BrowserRouter>
      <Suspense fallback={<Waiting />}>
        <Routes>
          <Route path="/sign-in" element={<SignIn />} />
          <Route path="/enter/:token" element={<Enter />} />
          <Route path="/recordings/:id" element={<Player />} />
          <Route path="/*" element={<SignedIn />} />
        </Routes>
      </Suspense>
    </BrowserRouter>
  );
}

function SignedIn() {
  const session = useSession();
  if (session.isPending) return <Waiting />;
  if (!session.data?.person) return <SignIn />;
  return (
    <Routes>
      <Route path="/" element={<Desk />} />
      <Route path="/lessons/:id" element={<Lesson />} />
      <Route path="/lessons/:id/class" element={<ClassOfLesson />} />
      <Route path="/classes/:id" element={<ClassScreen />} />
      <Route path="/shelf" element={<Shelf />} />
      <Route path="/shelf/:course" element={<Shelf />} />
      <Route path="/boards" element={<Boards />} />
      <Route path="/recordings" element={<Recordings />} />
      <Route path="*" element={<NotFound />} />
    </Routes>
  );
}
