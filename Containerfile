# One process that keeps nothing: see docs/hosting.md.
FROM node:22-slim
WORKDIR /kite-shelf
COPY . .
RUN npm ci && npm run build
ENV HOST=0.0.0.0 PORT=4180
EXPOSE 4180
USER node
CMD ["npm", "start"]
