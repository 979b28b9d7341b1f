<?php

declare(strict_types=1);

namespace App\Ledger;

use RuntimeException;

/**
 * What was uploaded, as a file for libraries that read only files. It goes when this object does; what a process that was killed has left
 * behind goes with the next upload.
 */
final class UploadedBytes
{
    /** Longer than any request may take, seconds. */
    private const FORGOTTEN = 120;

    public readonly string $path;

    public function __construct(string $bytes)
    {
        $folder = storage_path('app/uploads');
        is_dir($folder) || mkdir($folder, 0700, true);
        foreach (glob("{$folder}/*") ?: [] as $old) {
            @filemtime($old) < time() - self::FORGOTTEN && @unlink($old);
        }
        $this->path = (string) tempnam($folder, 'upload');
        file_put_contents($this->path, $bytes) === strlen($bytes) ?: throw new RuntimeException('The upload could not be stored: the disk may be full.');
    }

    public function __destruct()
    {
        @unlink($this->path);
    }
}
