<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\HandOn\Bundle;
use App\HandOn\FileName;
use App\HandOn\LabelSheet;
use App\HandOn\PaperFormat;
use App\HandOn\TemplatePdf;
use App\Models\Design;
use App\Shelf\Drafting;
use App\Words\Words;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\CuttingList;
use Gimbo\Core\Exchange\DxfFile;
use Gimbo\Core\Exchange\FoldFile;
use Gimbo\Core\Exchange\HpglFile;
use Gimbo\Core\Exchange\SvgFile;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What leaves Gimbo: templates, patterns, lists and the design itself. */
final readonly class HandOnController
{
    public function __construct(private Drafting $drafting, private Words $words, private Bundle $bundle)
    {
    }

    public function json(Design $design): Response
    {
        return Download::of(json_encode($design->toDocument()->toArray(), Bundle::READABLE)."\n", 'application/json', FileName::of($design->name).'.gimbo.json');
    }

    public function svg(Design $design, string $piece): Response
    {
        return Download::of(SvgFile::write($this->piece($design, $piece), $design->name), 'image/svg+xml', FileName::of("$design->name $piece").'.svg');
    }

    public function dxf(Design $design, string $piece): Response
    {
        return Download::of(DxfFile::write($this->piece($design, $piece)), 'image/vnd.dxf', FileName::of("$design->name $piece").'.dxf');
    }

    public function hpgl(Design $design, string $piece): Response
    {
        return Download::of(HpglFile::write($this->piece($design, $piece)), 'application/vnd.hp-HPGL', FileName::of("$design->name $piece").'.hpgl');
    }

    public function fold(Design $design, string $piece): Response
    {
        $fold = FoldFile::write($this->piece($design, $piece)->pattern()) + ['file_title' => $design->name];

        return Download::of(json_encode($fold, Bundle::READABLE)."\n", 'application/json', FileName::of("$design->name $piece").'.fold');
    }

    /** `?paper=a4|letter`, and `?piece=` for one of them only. */
    public function template(Design $design, Request $request): Response
    {
        $piece = $request->query('piece');
        $sized = $this->drafting->draft($design)->sized;
        $pieces = is_string($piece) ? [$sized->piece($piece) ?? throw new NotFoundHttpException] : $sized->pieces;
        $pdf = TemplatePdf::write($pieces, $sized, PaperFormat::asked($request->query('paper')), $this->words, $design->name);

        return Download::of($pdf, 'application/pdf', FileName::of($design->name.' template').'.pdf');
    }

    /** `?paper=a4|letter` */
    public function labels(Design $design, Request $request, LabelSheet $sheet): Response
    {
        $pdf = $sheet->pdf($this->drafting->draft($design)->sized, PaperFormat::asked($request->query('paper')));

        return Download::of($pdf ?? throw new NotFoundHttpException, 'application/pdf', FileName::of($design->name.' labels').'.pdf');
    }

    public function cuttingList(Design $design): Response
    {
        return Download::of(CuttingList::write([[$design->name, $this->drafting->draft($design)->sized]]), 'text/csv; charset=utf-8', FileName::of($design->name.' cutting list').'.csv');
    }

    public function everything(Design $design, Request $request): BinaryFileResponse
    {
        return self::archive($this->bundle->zip([$design->name => $this->drafting->draft($design)], PaperFormat::asked($request->query('paper'))), FileName::of($design->name).'.zip');
    }

    /** `?designs=id,id,…`: everything of each of them; all on the shelf where none is named. */
    public function many(Request $request): BinaryFileResponse
    {
        $ids = array_filter(explode(',', is_string($request->query('designs')) ? $request->query('designs') : ''));
        $query = Design::query()->whereNull('variant_of')->orderByDesc('saved_at');
        $designs = ($ids === [] ? $query : $query->whereIn('id', $ids))->cursor();
        $drafts = (function () use ($designs): iterable {
            foreach ($designs as $design) {
                try {
                    $draft = $this->drafting->draft($design);
                } catch (InvalidDocument $error) {
                    $draft = $error;
                }
                yield $design->name => $draft;
            }
        })();

        return self::archive($this->bundle->zip($drafts, PaperFormat::asked($request->query('paper'))), 'gimbo-designs.zip');
    }

    private function piece(Design $design, string $id): Piece
    {
        return $this->drafting->draft($design)->sized->piece($id) ?? throw new NotFoundHttpException;
    }

    private static function archive(string $path, string $name): BinaryFileResponse
    {
        $answer = new BinaryFileResponse($path, 200, ['Content-Type' => 'application/zip']);

        $answer->headers->set('Content-Disposition', FileName::disposition($name));

        return $answer->deleteFileAfterSend();
    }
}
