<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\HandOn\FileName;
use App\HandOn\Handout;
use App\HandOn\HandoutPdf;
use App\HandOn\OneFile;
use App\HandOn\PaperFormat;
use App\HandOn\Recipe;
use App\Models\Design;
use App\Shelf\Drafting;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** One design as a document for others: a page to print, and PDF. */
final readonly class HandoutController
{
    public function __construct(private Drafting $drafting, private Handout $handout)
    {
    }

    /** `?since=3&hand=left` */
    public function page(Request $request, Design $design): Response
    {
        $since = $request->query('since');

        return new Response($this->handout->html($this->drafting->draft($design), null, is_string($since) && ctype_digit($since) && strlen($since) < 10 ? (int) $since : null, $request->query('hand') === 'left'));
    }

    /** The step view with the handout, as a file that needs nothing else. */
    public function oneFile(Design $design, OneFile $file): Response
    {
        return Download::of($file->html($this->drafting->draft($design)), 'text/html; charset=utf-8', FileName::of("$design->name steps").'.html');
    }

    public function recipe(Design $design, Recipe $recipe): Response
    {
        return new Response($recipe->text($this->drafting->draft($design)), headers: ['Content-Type' => 'text/plain; charset=utf-8']);
    }

    /** `?paper=a4|letter` */
    public function pdf(Design $design, Request $request): Response
    {
        $format = PaperFormat::asked($request->query('paper'));
        $draft = $this->drafting->draft($design);

        return Download::of(HandoutPdf::write($this->handout->html($draft, $format, isLeftHanded: $request->query('hand') === 'left'), $format, $design->name), 'application/pdf', FileName::of("$design->name handout").'.pdf');
    }
}
