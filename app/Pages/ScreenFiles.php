<?php

declare(strict_types=1);

namespace App\Pages;

use Illuminate\Support\Facades\File;

/** Files of the built front end that a screen needs beside the first, so that a page can ask for them at once instead of one after the other. */
final class ScreenFiles
{
    private const MANIFEST = 'build/manifest.json';

    /** @return list<string> addresses of scripts and styles; none where there is no such screen, or no build */
    public static function forScreen(string $screen): array
    {
        $path = public_path(self::MANIFEST);
        $manifest = preg_match('/^[a-z]+$/', $screen) === 1 && is_file($path) ? File::json($path) : [];
        foreach (array_keys($manifest) as $source) {
            if (preg_match("#/screens/[^/]+/{$screen}Screen\.tsx$#i", (string) $source) === 1) {
                $files = array_diff_key(self::with($manifest, (string) $source), self::with($manifest, 'web/src/main.tsx'));
                $styles = array_merge([], ...array_map(fn (string $part): array => $manifest[$part]['css'] ?? [], array_keys($files)));

                return array_map(fn (string $file): string => "/build/{$file}", [...array_values($files), ...array_values($styles)]);
            }
        }

        return [];
    }

    /**
     * @param  array<string, array{file: string, imports?: list<string>, css?: list<string>}>  $manifest
     * @param  array<string, string>  $found
     * @return array<string, string> files by what they are made from, with what they import
     */
    private static function with(array $manifest, string $source, array $found = []): array
    {
        if (! isset($manifest[$source]) || isset($found[$source])) {
            return $found;
        }
        $found[$source] = $manifest[$source]['file'];
        foreach ($manifest[$source]['imports'] ?? [] as $import) {
            $found = self::with($manifest, $import, $found);
        }

        return $found;
    }
}
