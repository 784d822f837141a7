import { configure } from '@testing-library/react';

/** A busy machine draws a dialog in more than the second that is usually waited for it. */
configure({ asyncUtilTimeout: 4_000 });
