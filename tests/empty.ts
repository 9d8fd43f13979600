export {}; // stands in for "server-only", which refuses to load outside a server bundle
