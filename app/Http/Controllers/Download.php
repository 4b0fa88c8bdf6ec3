<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\HandOn\FileName;
use Illuminate\Http\Response;

/** A file that the browser keeps rather than shows. */
final class Download
{
    public static function of(string $content, string $type, string $name): Response
    {
        return new Response($content, 200, ['Content-Type' => $type, 'Content-Disposition' => FileName::disposition($name)]);
    }
}
