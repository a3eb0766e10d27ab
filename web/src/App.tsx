import Button from '@mui/material/Button';
import { lazy, Suspense, type ReactNode } from 'react';
import { BrowserRouter, Route, Routes, useLocation } from 'react-router';
import { useSession } from './api/session';
import { Centred } from './parts/frame/Centred';
import { Fallible } from './parts/frame/Fallible';
import { Waiting } from './parts/frame/Waiting';

const Keys = lazy(() => import('./parts/frame/Keys').then(({ Keys }) => ({ default: Keys })));
const SignIn = lazy(() => import('./screens/SignIn'));
const Enter = lazy(() => import('./screens/Enter'));
const Desk = lazy(() => import('./screens/Desk'));
const Lesson = lazy(() => import('./screens/Lesson'));
const LessonQuestions = lazy(() => import('./screens/LessonQuestions'));
const ClassOfLesson = lazy(() => import('./screens/ClassOfLesson'));
const AfterClass = lazy(() => import('./screens/AfterClass'));
const ClassScreen = lazy(() => import('./screens/ClassScreen'));
// Whoever comes straight to a class should not wait for one thing after another.
if (location.pathname.startsWith('/classes/')) void import('./screens/ClassScreen');

const Recordings = lazy(() => import('./screens/Recordings'));
const Player = lazy(() => import('./screens/Player'));
const Calendar = lazy(() => import('./screens/Calendar'));
const Course = lazy(() => import('./screens/Course'));
const Shelf = lazy(() => import('./screens/Shelf'));
const Boards = lazy(() => import('./screens/Boards'));
const NotFound = lazy(() => import('./screens/NotFound'));

/** Which screen belongs to which address. Links and recordings may be opened signed out; a class asks by itself. */
export function App() {
  return (
    <BrowserRouter>
      <Suspense fallback={null}>
        <Keys />
      </Suspense>
      <Suspense fallback={<Waiting />}>
        <Screens>
          <Route path="/sign-in" element={<SignIn />} />
          <Route path="/enter/:token" element={<Enter />} />
          <Route path="/recordings/:id" element={<Player />} />
          <Route path="/classes/:id" element={<ClassScreen />} />
          <Route path="/classes/:id/after" element={<AfterClass />} />
          <Route path="/*" element={<SignedIn />} />
        </Screens>
      </Suspense>
    </BrowserRouter>
  );
}

function SignedIn() {
  const session = useSession();
  if (session.isPending) return <Waiting />;
  if (session.error && !session.data)
    return <Unreached says={session.error.message} again={() => void session.refetch()} />;
  if (!session.data?.person) return <SignIn />;
  return (
    <Screens>
      <Route path="/" element={<Desk />} />
      <Route path="/lessons/:id" element={<Lesson />} />
      <Route path="/lessons/:id/questions" element={<LessonQuestions />} />
      <Route path="/lessons/:id/class" element={<ClassOfLesson />} />
      <Route path="/calendar" element={<Calendar />} />
      <Route path="/courses" element={<Course />} />
      <Route path="/courses/:id" element={<Course />} />
      <Route path="/shelf" element={<Shelf />} />
      <Route path="/shelf/:course" element={<Shelf />} />
      <Route path="/boards" element={<Boards />} />
      <Route path="/recordings" element={<Recordings />} />
      <Route path="*" element={<NotFound />} />
    </Screens>
  );
}

/** A screen that goes wrong leaves the way to the others open. */
function Screens({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <Fallible what="This page" of={pathname}>
      <Routes>{children}</Routes>
    </Fallible>
  );
}

/** The server did not say who is here; that is no reason to ask for a password. */
function Unreached({ says, again }: { says: string; again: () => void }) {
  return (
    <Centred alert={says}>
      <Button onClick={again}>Try again</Button>
    </Centred>
  );
}
