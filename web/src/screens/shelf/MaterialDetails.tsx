import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { patch, remove } from '../../api/http';
import type { Material } from '../../api/shapes';
import { thumbnailAddress } from '../../board/page/addresses';
import { Words } from '../../parts/words/Words';
import { BringFiles } from '../../shelf/BringFiles';
import { UploadList } from '../../shelf/UploadList';
import { useMaterial } from '../../shelf/useMaterials';
import { useUploads } from '../../shelf/useUploads';

type Changes = Partial<Pick<Material, 'title' | 'labels' | 'first_slide'>>;

/** A material opened in place: its slides, what it is called, where it is used, and a newer version of it. */
export function MaterialDetails({ material, course }: { material: Material; course: string }) {
  const queries = useQueryClient();
  const again = () => queries.invalidateQueries({ queryKey: ['materials'] });
  const uploads = useUploads({ course, replaces: material.id });
  const save = useMutation({
    mutationFn: (changes: Changes) => patch(`/api/materials/${material.id}`, changes),
    onSettled: again,
  });
  const takeOff = useMutation({ mutationFn: () => remove(`/api/materials/${material.id}`), onSettled: again });
  const uses = material.uses ?? [];
  const original = `/api/materials/${material.id}/${material.version}/original`;

  return (
    <Box sx={{ mt: 1.5, ml: { xs: 0, md: '128px' }, display: 'flex', flexDirection: 'column', gap: 1.75 }}>
      <Box sx={{ display: 'flex', gap: 1.25, maxWidth: 720 }}>
        <Words
          label="Title"
          value={material.title}
          onSave={(title) => title.trim() && save.mutate({ title: title.trim() })}
        />
        <Words
          label="Labels, with commas between"
          value={material.labels.join(', ')}
          onSave={(text) =>
            save.mutate({
              labels: text
                .split(',')
                .map((label) => label.trim())
                .filter(Boolean),
            })
          }
        />
      </Box>
      {material.kind === 'sound' && <audio controls src={original} aria-label={material.title} />}
      {material.kind === 'clip' && (
        <video controls src={original} aria-label={material.title} style={{ maxWidth: 480 }}>
          <track kind="captions" />
        </video>
      )}
      {material.link && (
        <a href={material.link} rel="noreferrer" target="_blank">
          {material.link}
        </a>
      )}
      {(material.slide_count ?? 0) > 0 && (
        <SlideGrid material={material} onFirst={(first_slide) => save.mutate({ first_slide })} />
      )}
      <Box sx={{ fontSize: 14 }}>
        {uses.length === 0 ? 'Not on any board yet.' : 'On the boards '}
        {uses.map((use, i) => (
          <span key={use.board}>
            {i > 0 && ', '}
            <Link to={`/lessons/${use.lesson_id}`}>
              {use.name} ({use.lesson})
            </Link>
          </span>
        ))}
      </Box>
      <UploadList uploads={uploads} />
      {save.error && <Box role="alert">{save.error.message}</Box>}
      <Box sx={{ display: 'flex', gap: 1 }}>
        {material.kind !== 'link' && (
          <>
            <BringFiles name="Bring a newer version" several={false} onFiles={uploads.bring} />
            <Button component="a" href={original}>
              Save the original
            </Button>
          </>
        )}
        <Button color="error" onClick={() => takeOff.mutate()}>
          Take off the shelf
        </Button>
      </Box>
    </Box>
  );
}

function SlideGrid({ material, onFirst }: { material: Material; onFirst: (slide: number) => void }) {
  const full = useMaterial(material.id, material.version);
  return (
    <Box>
      <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 0.75 }}>
        Choose the slide that is shown first, now {material.first_slide}.
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {full.data?.slides.map((slide) => {
          const first = slide.slide === material.first_slide;
          return (
            <Box
              key={slide.slide}
              component="button"
              type="button"
              aria-pressed={first}
              aria-label={`Slide ${slide.slide}${first ? ', shown first' : ''}`}
              title={slide.words.slice(0, 160)}
              onClick={() => onFirst(slide.slide)}
              sx={{
                p: 0,
                pb: 0.25,
                font: 'inherit',
                fontSize: 13,
                color: 'inherit',
                bgcolor: 'background.paper',
                border: first ? 2 : 1,
                borderColor: first ? 'primary.main' : 'divider',
                borderRadius: 0.75,
                overflow: 'hidden',
                cursor: 'pointer',
              }}
            >
              <img
                src={thumbnailAddress(material.id, material.version, slide.slide)}
                alt=""
                loading="lazy"
                style={{ display: 'block', width: 144, height: (144 * slide.h) / slide.w }}
              />
              {slide.slide}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
