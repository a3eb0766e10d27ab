import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState, type DragEvent } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { MOST_LISTED } from '../api/contracts';
import { get } from '../api/http';
import type { Course, Material } from '../api/shapes';
import { CourseField } from '../parts/fields/CourseField';
import { Shell } from '../parts/frame/Shell';
import { Waiting } from '../parts/frame/Waiting';
import { BringFiles } from '../shelf/BringFiles';
import { UploadList } from '../shelf/UploadList';
import { useMaterials } from '../shelf/useMaterials';
import { useUploads } from '../shelf/useUploads';
import { AddLink } from './shelf/AddLink';
import { MaterialRow } from './shelf/MaterialRow';
import { usePastedFiles } from './shelf/usePastedFiles';
import { TheRest } from '../parts/words/TheRest';

const SORTS = [
  ['newest', 'Newest first'],
  ['title', 'By title'],
  ['size', 'Largest first'],
] as const;

/** The shelf of a course: everything brought to it, how it came out, and where it is used. */
export default function Shelf() {
  const { course } = useParams();
  const go = useNavigate();
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => get<Course[]>('/api/courses') });
  const taught = courses.data?.filter(({ role }) => role !== 'student');
  if (!taught) return <Waiting says={courses.error?.message ?? 'Going to the shelf'} />;
  if (!course && taught[0]) return <Navigate to={`/shelf/${taught[0].id}`} replace />;
  if (!course) return <Waiting says="You teach no course, so there is no shelf yet." />;
  return (
    <Shell>
      <OneShelf key={course} course={course}>
        <CourseField courses={taught} course={course} onCourse={(to) => go(`/shelf/${to}`)} />
      </OneShelf>
    </Shell>
  );
}

function OneShelf({ course, children }: { course: string; children: React.ReactNode }) {
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<string>('newest');
  const [label, setLabel] = useState<string | null>(null);
  const [open, setOpen] = useState<string | null>(location.hash.slice(1) || null);
  const [over, setOver] = useState(false);
  const uploads = useUploads({ course });
  const materials = useMaterials(course, search, sort);
  usePastedFiles(uploads.bring);
  const all = materials.data ?? [];
  const labels = [...new Set(all.flatMap((material) => material.labels))].sort((a, b) => a.localeCompare(b));
  const shown = label ? all.filter((material) => material.labels.includes(label)) : all;

  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    uploads.bring(event.dataTransfer.files);
  };
  return (
    <Box
      component="main"
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      sx={{
        flex: 1,
        minHeight: 0,
        overflowY: 'auto',
        p: 3,
        pt: 2.5,
        outline: over ? '3px dashed' : 'none',
        outlineColor: (theme) => theme.vars!.palette.primary.main,
        outlineOffset: -10,
      }}
    >
      <Box sx={{ maxWidth: 1080, mx: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 1 }}>
          <Box component="h1" sx={{ m: 0, typography: 'h1', flex: 1 }}>
            Shelf
          </Box>
          {children}
          <AddLink course={course} />
          <BringFiles primary onFiles={uploads.bring} />
        </Box>
        <Box sx={{ color: 'text.secondary', mb: 2 }}>
          Slides, papers, pictures, sounds and clips of this course. Drop or paste them anywhere on this page.
        </Box>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1.5 }}>
          <TextField
            size="small"
            label="Find by title, label or text inside"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            sx={{ width: 320 }}
          />
          <TextField select size="small" label="Order" value={sort} onChange={(event) => setSort(event.target.value)}>
            {SORTS.map(([name, says]) => (
              <MenuItem key={name} value={name}>
                {says}
              </MenuItem>
            ))}
          </TextField>
          {labels.map((name) => (
            <Button
              key={name}
              aria-pressed={label === name}
              onClick={() => setLabel(label === name ? null : name)}
              sx={label === name ? { bgcolor: 'veranda.wash' } : undefined}
            >
              {name}
            </Button>
          ))}
        </Box>
        <UploadList uploads={uploads} />
        <List
          materials={shown}
          known={all.length}
          loaded={!!materials.data}
          search={search}
          open={open}
          onOpen={setOpen}
          course={course}
        />
      </Box>
    </Box>
  );
}

interface ListProps {
  materials: Material[];
  /** How many the server told of, before a label was chosen. */
  known: number;
  loaded: boolean;
  search: string;
  open: string | null;
  onOpen: (id: string | null) => void;
  course: string;
}

function List({ materials, known, loaded, search, open, onOpen, course }: ListProps) {
  if (loaded && materials.length === 0)
    return (
      <Box sx={{ py: 5, textAlign: 'center', color: 'text.secondary' }}>
        {search ? 'Nothing on the shelf is like that.' : 'The shelf is empty. Bring your slides.'}
      </Box>
    );
  return (
    <Box component="ul" aria-label="Materials" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {materials.map((material) => (
        <MaterialRow
          key={material.id}
          material={material}
          course={course}
          open={open === material.id}
          onOpen={() => onOpen(open === material.id ? null : material.id)}
        />
      ))}
      <TheRest count={known} most={MOST_LISTED.materials!} what="materials" />
    </Box>
  );
}
