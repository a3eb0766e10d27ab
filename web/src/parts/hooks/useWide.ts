import useMediaQuery from '@mui/material/useMediaQuery';

/** Whether there is room for columns beside the paper. */
export const useWide = () => useMediaQuery('(min-width: 900px)', { noSsr: true });
