<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Drafting;
use App\Models\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\FoldFile;
use Gimbo\Core\Exchange\SvgFile;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What leaves Gimbo: templates, patterns and the design itself. */
final readonly class HandOnController
{
    private const READABLE = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    public function __construct(private Drafting $drafting)
    {
    }

    public function json(Design $design): Response
    {
        return self::file(json_encode($design->toDocument()->toArray(), self::READABLE)."\n", 'application/json', Str::slug($design->name).'.gimbo.json');
    }

    public function svg(Design $design, string $piece): Response
    {
        return self::file(SvgFile::write($this->piece($design, $piece), $design->name), 'image/svg+xml', Str::slug("$design->name $piece").'.svg');
    }

    public function fold(Design $design, string $piece): Response
    {
        $fold = FoldFile::write($this->piece($design, $piece)->pattern) + ['file_title' => $design->name];

        return self::file(json_encode($fold, self::READABLE)."\n", 'application/json', Str::slug("$design->name $piece").'.fold');
    }

    private function piece(Design $design, string $id): Piece
    {
        foreach ($this->drafting->draft($design)->sized->pieces as $piece) {
            if ($piece->id === $id) {
                return $piece;
            }
        }
        throw new NotFoundHttpException;
    }

    private static function file(string $content, string $type, string $name): Response
    {
        return new Response($content, 200, ['Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="'.$name.'"']);
    }
}
