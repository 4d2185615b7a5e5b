#!/usr/bin/env bash
# Makes the clip that a video starts with out of one of the pictures that ship: eight seconds along
# the horizon and back, without sound.
set -euo pipefail
cd "$(dirname "$0")/../server/src/main/resources/giostra/starters"
ffmpeg -y -loglevel error -loop 1 -i start-waves.jpg -t 8 \
  -vf "scale=2560:-2,zoompan=z='1.12+0.06*sin(PI*on/200)':x='(iw-iw/zoom)*(0.5-0.5*cos(2*PI*on/200))':y='(ih-ih/zoom)/2':d=1:s=640x360:fps=25,format=yuv420p" \
  -c:v libx264 -profile:v main -crf 30 -preset veryslow -movflags +faststart -map_metadata -1 -fflags +bitexact start-clip.mp4
ffmpeg -y -loglevel error -i start-clip.mp4 -c:v libvpx-vp9 -crf 42 -b:v 0 -row-mt 1 -map_metadata -1 -fflags +bitexact start-clip-2.webm
