import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/http';
import type { CaptionCue, Captions } from '../../api/shapes';
import { chosen } from '../../captions/CaptionMenu';
import { useCaptionWish } from '../../captions/wish';

/** Captions of a recording, and those of the language that one reads. */
export function useCaptions(id: string) {
  const [wish] = useCaptionWish();
  const { data, refetch } = useQuery({
    queryKey: ['recording-captions', id],
    queryFn: () => get<{ languages: Captions[] }>(`/api/recordings/${id}/captions`),
  });
  const languages = data?.languages ?? [];
  const lang = chosen(
    wish.lang,
    languages.map((one) => one.lang),
  );
  const lines: CaptionCue[] = languages.find((one) => one.lang === lang)?.lines ?? [];
  return { languages: languages.map((one) => one.lang), lang, lines, again: refetch };
}
