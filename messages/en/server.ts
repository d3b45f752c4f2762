/** What the server says to who starts it. */
export const serverText = {
  ready: (port: number): string => `Little Peel is ready: http://localhost:${port}`,
  portTaken: (port: number): string => `Port ${port} is taken. Choose another: PORT=4301 npm start`,
} as const;
