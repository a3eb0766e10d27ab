import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Material, Slide } from '../api/shapes';
import { thumbnailAddress } from '../board/page/addresses';
import { BringFiles } from './BringFiles';
import { Thumb } from './Thumb';
import { UploadList } from './UploadList';
import { useMaterial, useMaterials } from './useMaterials';
import { useUploads } from './useUploads';
import { stateOf } from './words';
import { MOST_LISTED } from '../api/contracts';
import { TheRest } from '../parts/words/TheRest';

interface Props {
  course: string;
  onClose: () => void;
  /** Puts one slide on the page at hand. */
  onSlide?: (material: Material, slide: Slide) => void;
  /** Opens all of it as a board. */
  onBoard?: (material: Material) => void;
}

/** The shelf, to take something from: a material as a board, or one of its slides as a picture. */
export function ShelfPicker({ course, onClose, onSlide, onBoard }: Props) {
  const [search, setSearch] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  const uploads = useUploads({ course }, setOpen);
  const materials = useMaterials(course, search);
  const shown = (materials.data ?? []).filter((material) => ['document', 'picture'].includes(material.kind));

  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-label="From the shelf">
      <DialogContent
        sx={{ height: 560, display: 'flex', flexDirection: 'column', gap: 1.5 }}
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          uploads.bring(event.dataTransfer.files);
        }}
      >
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
          <TextField
            size="small"
            label="Find on the shelf"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            sx={{ flex: 1 }}
          />
          <BringFiles onFiles={uploads.bring} />
        </Box>
        <UploadList uploads={uploads} />
        <Box component="ul" sx={{ flex: 1, overflowY: 'auto', m: 0, p: 0, listStyle: 'none' }}>
          {shown.length === 0 && materials.data && (
            <Box sx={{ color: 'text.secondary', py: 2 }}>
              {search ? 'Nothing on the shelf is like that.' : 'The shelf is empty. Bring slides or pictures here.'}
            </Box>
          )}
          {shown.map((material) => (
            <Box component="li" key={material.id} sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
              <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
                <Thumb material={material} />
                <Box sx={{ flex: 1, minWidth: 0 }}>
                  <Box sx={{ fontWeight: 650 }}>{material.title}</Box>
                  <Box role="status" sx={{ fontSize: 13, color: 'text.secondary' }}>
                    {stateOf(material)}
                    {material.findings.map((finding) => (
                      <Box key={finding.code}>{finding.says}</Box>
                    ))}
                    <TheRest count={materials.data?.length ?? 0} most={MOST_LISTED.materials!} what="materials" />
                  </Box>
                </Box>
                {onBoard && material.state === 'ready' && (
                  <Button onClick={() => onBoard(material)}>Open as a board</Button>
                )}
                {onSlide && material.state === 'ready' && (
                  <Button
                    aria-expanded={open === material.id}
                    onClick={() => setOpen(open === material.id ? null : material.id)}
                  >
                    Choose a slide
                  </Button>
                )}
              </Box>
              {onSlide && open === material.id && material.state === 'ready' && (
                <Slides material={material} onSlide={(slide) => onSlide(material, slide)} />
              )}
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

function Slides({ material, onSlide }: { material: Material; onSlide: (slide: Slide) => void }) {
  const full = useMaterial(material.id, material.version);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, pt: 1.25 }}>
      {full.data?.slides.map((slide) => (
        <Box
          key={slide.slide}
          component="button"
          type="button"
          aria-label={`Put slide ${slide.slide} on the board`}
          title={slide.words.slice(0, 120)}
          onClick={() => onSlide(slide)}
          sx={{
            p: 0,
            border: 1,
            borderColor: 'divider',
            borderRadius: 0.75,
            bgcolor: 'background.paper',
            color: 'inherit',
            cursor: 'pointer',
            overflow: 'hidden',
            font: 'inherit',
            fontSize: 13,
            '&:hover': { borderColor: 'primary.main' },
          }}
        >
          <img
            src={thumbnailAddress(material.id, material.version, slide.slide)}
            alt=""
            loading="lazy"
            style={{ display: 'block', width: 132, height: (132 * slide.h) / slide.w }}
          />
          {slide.slide}
        </Box>
      ))}
    </Box>
  );
}
