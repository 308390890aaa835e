import { configure } from '@testing-library/react';

/** What a page shows comes when it comes: a busy machine may take longer than the second the library waits. */
configure({ asyncUtilTimeout: 15_000 });
