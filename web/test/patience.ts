import { configure } from '@testing-library/react';

/** A busy machine draws a dialog in more than the second that is usually waited for it: six others may be at work on it. */
configure({ asyncUtilTimeout: 30_000 });
