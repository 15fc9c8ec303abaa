/// <reference types="svelte" />
/// <reference types="vite/client" />
declare module '*.css';
